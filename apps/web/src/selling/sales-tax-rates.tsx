import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';

type Row = StoredRow<'salesTaxRate'>;

const writer = rowsWriter<Row>('salesTaxRate', { needs: ['name', 'percent'] });

/** The sales tax of categories of products that differ from the book. */
export function SalesTaxRates() {
  const rows = useAll('salesTaxRate');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Row>('salesTaxRate', 'name', locale, { header: 'Category', placeholder: 'food, books' }),
      fieldColumn<Row>('salesTaxRate', 'percent', locale, { header: 'Sales tax, %' }),
    ],
    [locale],
  );
  return (
    <Grid
      title="Sales tax by category"
      rows={rows}
      columns={columns}
      writer={writer}
      nameOf={({ name }) => name}
      empty="All products have the rate above. Type a category and its rate where some have another."
    />
  );
}
