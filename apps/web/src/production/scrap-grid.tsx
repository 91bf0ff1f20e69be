import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { knownUnits } from '../controls/fields/known-units.js';
import { unitChoices } from '../controls/fields/read-field.js';
import { productRowsWriter } from '../controls/grid/rows-writer.js';
import { costPerBatchColumn } from './cost-per-batch-column.js';

type Row = StoredRow<'recoveredScrap'>;

/** What is won back from a batch and is worth something. */
export function ScrapGrid({ product }: { readonly product: StoredRow<'product'> }) {
  const rows = useRowsOf('recoveredScrap', 'productId', product.id);
  const { locale, currency } = useSettings();
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      fieldColumn<Row>('recoveredScrap', 'name', locale, { placeholder: 'Trimmings, offcuts' }),
      fieldColumn<Row>('recoveredScrap', 'quantity', locale, { header: 'A batch gives' }),
      {
        ...fieldColumn<Row>('recoveredScrap', 'unit', locale),
        type: 'choice',
        options: () => unitChoices(knownUnits()),
      },
      fieldColumn<Row>('recoveredScrap', 'worth', locale, { header: `Worth, ${currency} each` }),
      costPerBatchColumn(currency),
    ],
    [locale, currency],
  );
  const writer = useMemo(() => productRowsWriter<Row>('recoveredScrap', product.id, 'name'), [product.id]);
  return (
    <Grid title="By-products and scrap" rows={rows} columns={columns} writer={writer} nameOf={({ name }) => name} />
  );
}
