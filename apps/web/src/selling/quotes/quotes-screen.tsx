import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import type { Column } from '../../controls/grid/grid-model.js';
import { NamedList } from '../../controls/grid/named-list.js';
import { today } from '../../state/today.js';
import { QuoteDetail } from './quote-detail.js';
import { quoteWriter } from './quote-rows.js';
import { SellPage } from '../sell-page.js';

type Quote = StoredRow<'quote'>;

/** Quotes for one-off jobs. */
export function QuotesScreen() {
  const quotes = useAll('quote');
  const { locale } = useSettings();
  const columns = useMemo(
    (): Column<Quote, Partial<Quote>>[] => [
      fieldColumn<Quote>('quote', 'name', locale, { placeholder: 'Set of forty plates' }),
      { id: 'state', header: 'State', type: 'shown', text: ({ state }) => state, cell: ({ state }) => state },
      fieldColumn<Quote>('quote', 'validUntil', locale),
    ],
    [locale],
  );
  const writer = useMemo(() => quoteWriter(today()), []);
  return (
    <SellPage>
      <NamedList
        screen="quotes"
        title="Quotes"
        rows={quotes}
        columns={columns}
        writer={writer}
        narrow="26rem"
        empty="What was asked for? Type a name for the job: its materials, hours and price are worked out beside it, as one option or several."
        detail={(id) => <QuoteDetail key={id} id={id} />}
      />
    </SellPage>
  );
}
