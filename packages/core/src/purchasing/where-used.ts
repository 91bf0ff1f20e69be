import type { RowOf } from '@nuvar/book';
import type { Sheet } from '../evaluate/calculation.js';

/** Every product that a material goes into, directly or through components, each once. */
export function productsUsing(sheet: Sheet, materialId: string): RowOf<'product'>[] {
  const found = new Map<string, RowOf<'product'>>();
  const add = (lines: readonly RowOf<'billLine'>[]) => {
    for (const line of lines) {
      const product = sheet.row('product', line.productId);
      if (product === undefined || found.has(product.id)) continue;
      found.set(product.id, product);
      add(sheet.rowsOf('billLine', 'componentId', product.id));
    }
  };
  add(sheet.rowsOf('billLine', 'materialId', materialId));
  return [...found.values()];
}
