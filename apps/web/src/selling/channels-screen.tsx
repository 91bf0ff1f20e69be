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
    const own = (field: keyof Row & string, width: string, header: string) =>
      fieldColumn<Row>('channel', field, locale, { width, header });
    return [
      own('name', '16rem', 'Place to sell'),
      own('feePercent', '8rem', 'Percentage fee, %'),
      own('feeBasis', '12rem', 'Taken of'),
      own('feePerOrder', '11rem', `Fixed fee per order, ${currency}`),
      own('unitsPerOrder', '9rem', 'Units per order'),
    ];
  }, [locale, currency]);
  return (
    <div className="page">
      <BackLink to="sell">Back to the prices</BackLink>
      <Grid
        title="Places to sell"
        rows={channels}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="Where do you sell? Type a name into the empty row, then what the place takes: a percentage, a fixed amount per order, or nothing."
      />
      <p className="text-soft">
        The fixed fee is spread over the units of an order. A product has its price in the first place of this list.
      </p>
    </div>
  );
}
