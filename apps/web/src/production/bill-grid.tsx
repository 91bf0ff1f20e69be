import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid.js';
import { billColumns } from './bill-columns.js';
import { billWriter, type Line } from './bill-writer.js';
import { itemsOf, type Item } from './line-items.js';

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
    <Grid
      title="What goes into it"
      rows={lines}
      columns={columns}
      writer={writer}
      nameOf={labelOf}
      empty="Type a material into the empty row, then how much of it goes in. What is not in the book yet can be added there, or stand as text until you link it."
    />
  );
}

function useItems(productId: string): ReadonlyMap<string, Item> {
  const materials = useAll('material');
  const products = useAll('product');
  const conversions = useVersion('itemConversion');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the conversions are those of this version
  return useMemo(() => itemsOf(productId, materials, products), [materials, products, productId, conversions]);
}
