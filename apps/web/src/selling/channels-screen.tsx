import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { BackLink } from '../controls/back-link.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import type { Column } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';

type Row = StoredRow<'channel'>;

const writer = rowsWriter<Row>('channel', { needs: 'name' });

/** Where the products are sold, and what each place takes of a sale. */
export function ChannelsScreen() {
  const channels = useAll('channel');
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const own = (field: keyof Row & string, header: string) => fieldColumn<Row>('channel', field, locale, { header });
    return [
      own('name', 'Sales channel'),
      own('feePercent', 'Percentage fee, %'),
      own('feeBasis', 'Charged on'),
      own('feePerOrder', `Fixed fee per order, ${currency}`),
      own('unitsPerOrder', 'Units per order'),
    ];
  }, [locale, currency]);
  return (
    <div className="max-w-page">
      <BackLink to="sell">Back to the prices</BackLink>
      <Grid
        title="Sales channels"
        rows={channels}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="Where do you sell? Type a name into the empty row, then its fees: a percentage, a fixed amount per order, or nothing."
      />
      <p className="text-soft">
        The fixed fee is spread over the units of an order. A product has its price in the first channel of this list.
      </p>
    </div>
  );
}
