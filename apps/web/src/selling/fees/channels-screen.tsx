import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { NamedList } from '../../controls/grid/named-list.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { FromTemplate } from './from-template.js';
import { ChannelDetail } from './channel-detail.js';
import { SellPage } from '../sell-page.js';

type Row = StoredRow<'channel'>;

const writer = rowsWriter<Row>('channel', { needs: 'name' });

/** Where the products are sold, and what each place takes of a sale. */
export function ChannelsScreen() {
  const channels = useAll('channel');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Row>('channel', 'name', locale, { header: 'Sales channel' }),
      fieldColumn<Row>('channel', 'unitsPerOrder', locale, { header: 'Units per order' }),
    ],
    [locale],
  );
  return (
    <SellPage>
      <NamedList
        screen="channels"
        title="Sales channels"
        rows={channels}
        columns={columns}
        writer={writer}
        narrow="22rem"
        tools={(chooseById) => <FromTemplate onCreate={chooseById} />}
        empty="Where do you sell? Type a name into the empty row, then enter the fees beside it: percentages, amounts, bands, or nothing."
        detail={(id) => <ChannelDetail key={id} id={id} />}
      />
    </SellPage>
  );
}
