import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { Grid } from '../controls/grid/grid.js';
import { labourColumns, labourWriter } from './labour-steps.js';

interface LabourGridProps {
  readonly product: StoredRow<'product'>;
}

/** The work on a product, step by step. */
export function LabourGrid({ product }: LabourGridProps) {
  const steps = useRowsOf('labourStep', 'productId', product.id);
  const grades = useAll('labourGrade');
  const departments = useAll('department');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => labourColumns(grades, locale, currency), [grades, locale, currency]);
  const moreColumns = useMemo(
    () =>
      departments.length === 0
        ? []
        : [
            rowChoiceColumn<StoredRow<'labourStep'>>('departmentId', departments, {
              header: 'Department',
              none: 'of the grade',
            }),
          ],
    [departments],
  );
  const writer = useMemo(() => labourWriter(product.id, grades), [product.id, grades]);
  return (
    <Grid
      title="Labour"
      rows={steps}
      columns={columns}
      moreColumns={moreColumns}
      writer={writer}
      nameOf={({ name }) => name}
      empty="Type a step into the empty row, who does it, and how long it takes. Include your own time."
    />
  );
}
