import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { updateOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';

type Row = StoredRow<'typedCost'>;

const ELEMENT_WORDS = {
  materials: 'materials',
  packaging: 'packaging',
  labour: 'labour',
  other: 'other costs',
  equipment: 'equipment',
};

/** The costs of a quick product, typed as totals until somebody details it. */
export function TypedCostGrid({ product }: { readonly product: StoredRow<'product'> }) {
  const rows = useRowsOf('typedCost', 'productId', product.id);
  const departments = useAll('department');
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale, currency } = useSettings();
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      {
        ...fieldColumn<Row>('typedCost', 'element', locale, { words: ELEMENT_WORDS }),
        blankText: 'materials',
      },
      fieldColumn<Row>('typedCost', 'amount', locale, {
        header: `${currency} per unit`,
        placeholder: 'how much',
      }),
      {
        ...fieldColumn<Row>('typedCost', 'hours', locale, { header: 'Labour hours per unit' }),
        applies: (row) => row === null || row.element === 'labour',
      },
      ...(departments.length === 0
        ? []
        : [
            {
              ...rowChoiceColumn<Row>('departmentId', departments, { header: 'Department', none: 'none' }),
              applies: (row: Row | null) => row?.element === 'labour',
            },
          ]),
    ],
    [locale, currency, departments],
  );
  const writer = useMemo(
    () => rowsWriter<Row>('typedCost', { needs: 'amount', fixed: () => ({ productId: product.id }) }),
    [product.id],
  );
  return (
    <>
      <Grid
        title="Quick totals"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ element }) => ELEMENT_WORDS[element]}
        empty="What one unit costs by element, as far as you know. Its labour hours decide its share of the overhead."
      />
      {mayEdit && (
        <p>
          <button
            type="button"
            className="btn"
            onClick={() => edit(updateOf('product', product, { costing: 'bill and steps' }))}
          >
            Change to a detailed recipe
          </button>{' '}
          <span className="text-soft">The quick totals are kept but no longer used.</span>
        </p>
      )}
    </>
  );
}
