import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings, useUnarchived, useVersion } from '../../book/use-book.js';
import { Grid } from '../../controls/grid/grid.js';
import {
  nameOfMixProduct,
  nameOfMixResource,
  resourceColumns,
  resourcesWriter,
  usesColumns,
  type UseField,
  usesWriter,
} from './mix-rows.js';

/** What runs short in a plan, how much of it there is, and what each product takes of it. */
export function MixUses({ planId }: { readonly planId: string }) {
  const rows = useRowsOf('mixResource', 'planId', planId);
  const labourGrade = useAll('labourGrade');
  const equipment = useAll('equipment');
  const equipmentRun = useAll('equipmentRun');
  const material = useUnarchived('material');
  const product = useUnarchived('product');
  const { locale, currency } = useSettings();
  const columns = useMemo(
    () => resourceColumns(planId, { labourGrade, equipment, equipmentRun, material, product }, locale, currency),
    [planId, labourGrade, equipment, equipmentRun, material, product, locale, currency],
  );
  const writer = useMemo(() => resourcesWriter(planId), [planId]);
  return (
    <>
      <div data-place={`${planId}.resources`} tabIndex={-1}>
        <Grid
          title="Resources"
          rows={rows}
          columns={columns}
          writer={writer}
          nameOf={nameOfMixResource}
          empty="What runs short? Type a labour grade, a machine, a shared load or a material of the book, or a name of its own. What each product takes follows from its bill and its steps."
        />
      </div>
      <Uses planId={planId} field="perUnit" title="Used by a unit" />
      <Uses planId={planId} field="forSetUp" title="Used by a set-up" />
    </>
  );
}

interface UsesProps {
  readonly planId: string;
  readonly field: UseField;
  readonly title: string;
}

/** The products against the resources. A figure follows from the bill and opens; what is typed beside it takes its place. */
function Uses({ planId, field, title }: UsesProps) {
  const products = useRowsOf('mixProduct', 'planId', planId);
  const resources = useRowsOf('mixResource', 'planId', planId);
  const { locale } = useSettings();
  const version = useVersion('mixUse', 'product', 'channel');
  const columns = useMemo(
    () => usesColumns(resources, field, locale),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is typed is that of this version
    [resources, field, locale, version],
  );
  if (products.length === 0 || resources.length === 0) return null;
  return (
    <div className="mt-6">
      <Grid
        title={title}
        rows={products}
        columns={columns}
        writer={usesWriter}
        hasNewRow={false}
        canRemove={false}
        nameOf={nameOfMixProduct}
      />
    </div>
  );
}
