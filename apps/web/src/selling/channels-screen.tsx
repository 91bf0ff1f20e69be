import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { ListAndDetail } from '../controls/list-and-detail.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { useChosenRow } from '../controls/use-chosen-row.js';
import { FromTemplate } from './from-template.js';
import { ChannelDetail } from './channel-detail.js';
import { SellPage } from './sell-page.js';

type Row = StoredRow<'channel'>;

const writer = rowsWriter<Row>('channel', { needs: 'name' });

/** Where the products are sold, and what each place takes of a sale. */
export function ChannelsScreen() {
  const { chosen, choose, chooseById } = useChosenRow('channels');
  const channels = useAll('channel');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Row>('channel', 'name', locale, { header: 'Sales channel' }),
      fieldColumn<Row>('channel', 'unitsPerOrder', locale, { header: 'Units per order' }),
    ],
    [locale],
  );
  const shown = channels.find(({ id }) => id === chosen)?.id ?? channels[0]?.id;
  return (
    <SellPage>
      <ListAndDetail
        wide="detail"
        narrow="22rem"
        list={
          <Grid
            title="Sales channels"
            rows={channels}
            columns={columns}
            writer={writer}
            nameOf={({ name }) => name}
            selected={shown}
            onSelect={choose}
            onCreate={chooseById}
            tools={<FromTemplate onCreate={chooseById} />}
            empty="Where do you sell? Type a name into the empty row, then enter the fees beside it: percentages, amounts, bands, or nothing."
          />
        }
        detail={shown === undefined ? null : <ChannelDetail key={shown} id={shown} />}
      />
    </SellPage>
  );
}
