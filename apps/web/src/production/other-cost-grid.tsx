import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { productRowsWriter } from '../controls/grid/rows-writer.js';
import { costPerBatchColumn } from './cost-per-batch-column.js';

type Row = StoredRow<'otherCost'>;

const BEHAVIOUR_WORDS = { variable: 'variable', committed: 'committed', stepped: 'in steps' };

interface OtherCostGridProps {
  readonly product: StoredRow<'product'>;
}

/** What else a product costs directly: a firing paid by the shelf, a licence, tea for the guests. */
export function OtherCostGrid({ product }: OtherCostGridProps) {
  const rows = useRowsOf('otherCost', 'productId', product.id);
  const { locale, currency } = useSettings();
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      fieldColumn<Row>('otherCost', 'name', locale, { placeholder: 'A firing, a licence, postage in' }),
      fieldColumn<Row>('otherCost', 'amount', locale, { header: `Amount, ${currency}` }),
      fieldColumn<Row>('otherCost', 'basis', locale, { words: { unit: 'good unit', batch: 'batch' } }),
      fieldColumn<Row>('otherCost', 'behaviour', locale, { words: BEHAVIOUR_WORDS }),
      costPerBatchColumn(currency),
    ],
    [locale, currency],
  );
  const writer = useMemo(() => productRowsWriter<Row>('otherCost', product.id, 'name'), [product.id]);
  return <Grid title="Other direct costs" rows={rows} columns={columns} writer={writer} nameOf={({ name }) => name} />;
}
