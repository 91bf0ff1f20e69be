import { newId, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';
import { productRowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { unitWords } from '../figures/format.js';
import { BatchChart } from './batch-chart.js';

type Row = StoredRow<'candidateBatch'>;
type Member = 'variableCost' | 'fullCost' | 'setUpPerUnit';

const USUAL_SIZES = ['1', '10', '25', '100'];

/** What one unit costs in batches of several sizes: as a table, and as a curve. */
export function BatchSizes({ product }: { readonly product: StoredRow<'product'> }) {
  const rows = useRowsOf('candidateBatch', 'productId', product.id);
  const view = useView('batchSizes', product.id);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const cost = (member: Member, header: string) =>
      figureColumn({
        id: member,
        header,
        view: 'batchSizes',
        of: (row: Row) => row.productId,
        pick: (sizes, row) => sizes.sizes[row.id]?.[member],
        digits: 4,
      });
    return [
      fieldColumn<Row>('candidateBatch', 'batchSize', locale, { placeholder: 'a size' }),
      cost('setUpPerUnit', `Batch costs a unit, ${currency}`),
      cost('variableCost', `Before overhead, ${currency}`),
      cost('fullCost', `Full cost, ${currency}`),
    ];
  }, [locale, currency]);
  const writer = useMemo(() => productRowsWriter<Row>('candidateBatch', product.id, 'batchSize'), [product.id]);
  const unit = unitWords(product.outputUnit);
  const addUsual = () =>
    edit(
      USUAL_SIZES.map((batchSize, position) =>
        createOf('candidateBatch', newId(), { productId: product.id, position, batchSize }),
      ),
    );
  return (
    <section aria-label="Batch sizes">
      <p className="mb-2">
        One {unit} costs <Amount figure={view?.fullCost} digits={4} withUnit /> in batches of{' '}
        <Amount figure={view?.started} digits={0} />. <Amount figure={view?.costPerUnit} digits={4} /> of that is the
        same at any batch size; <Amount figure={view?.costPerBatch} digits={2} withUnit /> is spent once on each batch.
      </p>
      <Grid
        title="Batch sizes"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ batchSize }) => `batches of ${batchSize ?? 'no size'}`}
        empty="Type a size into the empty row to see what one unit would cost in such batches."
      />
      {rows.length === 0 && mayEdit && (
        <button type="button" className="btn mt-2" onClick={addUsual}>
          Compare 1, 10, 25 and 100
        </button>
      )}
      {view && view.curve.length > 0 && <BatchChart view={view} rows={rows} unit={unit} />}
    </section>
  );
}
