import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { ListAndDetail } from '../controls/list-and-detail.js';
import { useChosenRow } from '../controls/use-chosen-row.js';
import { today } from '../state/today.js';
import { QuoteDetail } from './quote-detail.js';
import { quoteWriter } from './quote-rows.js';
import { SellPage } from './sell-page.js';

type Quote = StoredRow<'quote'>;

/** Quotes for one-off jobs. */
export function QuotesScreen() {
  const { chosen, choose, chooseById } = useChosenRow('quotes');
  const quotes = useAll('quote');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Quote>('quote', 'name', locale, { placeholder: 'Set of forty plates' }),
      fieldColumn<Quote>('quote', 'state', locale),
      fieldColumn<Quote>('quote', 'validUntil', locale),
    ],
    [locale],
  );
  const writer = useMemo(() => quoteWriter(today()), []);
  const shown = quotes.find(({ id }) => id === chosen)?.id ?? quotes[0]?.id;
  return (
    <SellPage>
      <ListAndDetail
        wide="detail"
        narrow="26rem"
        list={
          <Grid
            title="Quotes"
            rows={quotes}
            columns={columns}
            writer={writer}
            nameOf={({ name }) => name}
            selected={shown}
            onSelect={choose}
            onCreate={chooseById}
            empty="What was asked for? Type a name for the job: its materials, hours and price are worked out beside it, as one option or several."
          />
        }
        detail={shown === undefined ? null : <QuoteDetail key={shown} id={shown} />}
      />
    </SellPage>
  );
}
