import { newId, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { productRowsWriter } from '../controls/rows-writer.js';
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
        width: '9rem',
        view: 'batchSizes',
        of: (row: Row) => row.productId,
        pick: (sizes, row) => sizes.sizes[row.id]?.[member],
        digits: 4,
      });
    return [
      fieldColumn<Row>('candidateBatch', 'batchSize', locale, { width: '8rem', placeholder: 'a size' }),
      cost('setUpPerUnit', `Set-up and the like, ${currency}`),
      cost('variableCost', `By itself, ${currency}`),
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
        <Amount figure={view?.started} digits={0} />. <Amount figure={view?.costPerUnit} digits={4} /> of it by itself
        whatever the size; <Amount figure={view?.costPerBatch} digits={2} withUnit /> is spent on each batch once.
      </p>
      <Grid
        title="Batch sizes"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ batchSize }) => `batches of ${batchSize ?? 'no size yet'}`}
        empty="Type a size into the empty row to see what one unit would cost in such batches."
      />
      {rows.length === 0 && mayEdit && (
        <button type="button" className="button mt-2" onClick={addUsual}>
          Compare 1, 10, 25 and 100
        </button>
      )}
      {view && view.curve.length > 0 && <BatchChart view={view} rows={rows} unit={unit} />}
    </section>
  );
}
