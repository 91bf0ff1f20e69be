import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import { nameOfMachine, usesColumns, usesWriter } from './equipment-uses.js';

/** The machines that work on a product, by their time, or by the space it takes in a run that others share. */
export function EquipmentGrid({ product }: { readonly product: StoredRow<'product'> }) {
  const uses = useRowsOf('equipmentUse', 'productId', product.id);
  const machines = useAll('equipment');
  const runs = useAll('equipmentRun');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => usesColumns(machines, runs, locale, currency), [machines, runs, locale, currency]);
  const writer = useMemo(() => usesWriter(product.id), [product.id]);
  const nameOf = (use: StoredRow<'equipmentUse'>) => nameOfMachine(use, machines, runs) || 'equipment used';
  return (
    <Grid
      title="Equipment used"
      rows={uses}
      columns={columns}
      writer={writer}
      nameOf={nameOf}
      empty="A kiln, an oven, a wheel: type its name or that of a shared load into the empty row. What an hour costs is set under Equipment."
    />
  );
}
