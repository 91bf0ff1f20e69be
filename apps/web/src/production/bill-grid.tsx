import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import { MissingConversions, type MissingConversion } from '../purchasing/missing-conversions.js';
import { billColumns } from './bill-columns.js';
import { billWriter, type Line } from './bill-writer.js';
import { itemsOf, type Item } from './line-items.js';
import { SheetPartsGrid } from './sheet-parts-grid.js';

interface BillGridProps {
  readonly product: StoredRow<'product'>;
}

/** The bill of materials of a product: materials, packaging, and other products as components. */
export function BillGrid({ product }: BillGridProps) {
  const lines = useRowsOf('billLine', 'productId', product.id);
  const items = useItems(product.id);
  const { locale, currency } = useSettings();
  const columns = useMemo(() => billColumns(items, product, locale, currency), [items, product, locale, currency]);
  const writer = useMemo(() => billWriter(product.id, items), [product.id, items]);
  const labelOf = (line: Line) => items.get(line.materialId ?? line.componentId ?? '')?.label ?? (line.text || 'line');
  return (
    <>
      <Grid
        title="Materials"
        rows={lines}
        columns={columns}
        writer={writer}
        nameOf={labelOf}
        empty="Type a material into the empty row, then its quantity. A material that is not in the book yet can be added here, or kept as text and linked later."
      />
      <MissingConversions missing={missingIn(lines, items)} />
      <SheetPartsGrid productId={product.id} />
    </>
  );
}

function useItems(productId: string): ReadonlyMap<string, Item> {
  const materials = useAll('material');
  const products = useAll('product');
  const conversions = useVersion('itemConversion');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the conversions are those of this version
  return useMemo(() => itemsOf(productId, materials, products), [materials, products, productId, conversions]);
}

/** The units of lines that cannot be converted to the one by which their item is costed, each once. */
function missingIn(lines: readonly Line[], items: ReadonlyMap<string, Item>): MissingConversion[] {
  const found = new Map<string, MissingConversion>();
  for (const { materialId, componentId, unit, partLength, partWidth } of lines) {
    if (partLength !== null || partWidth !== null) continue;
    const item = items.get(materialId ?? componentId ?? '');
    if (item === undefined || item.units.includes(unit)) continue;
    const { id, label: name, unit: baseUnit } = item;
    const owner = item.field === 'materialId' ? 'materialId' : 'productId';
    found.set(`${id}/${unit}`, { owner, id, name, unit, baseUnit });
  }
  return [...found.values()];
}
