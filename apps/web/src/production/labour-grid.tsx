import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { Grid } from '../controls/grid.js';
import { labourColumns, labourWriter } from './labour-steps.js';

interface LabourGridProps {
  readonly product: StoredRow<'product'>;
}

/** The work on a product, step by step. */
export function LabourGrid({ product }: LabourGridProps) {
  const steps = useRowsOf('labourStep', 'productId', product.id);
  const grades = useAll('labourGrade');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => labourColumns(grades, locale, currency), [grades, locale, currency]);
  const writer = useMemo(() => labourWriter(product.id, grades), [product.id, grades]);
  return (
    <Grid
      title="Labour"
      rows={steps}
      columns={columns}
      writer={writer}
      nameOf={({ name }) => name}
      empty="Type a step into the empty row, who does it, and how long it takes. Include your own time."
    />
  );
}
