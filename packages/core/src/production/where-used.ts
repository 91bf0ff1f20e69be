import type { RowOf } from '@nuvar/book';
import type { Sheet } from '../sheet/index.js';

/** A product into which something goes: by a line of its own, or only inside a component. */
export interface UsedIn {
  readonly product: RowOf<'product'>;
  readonly isDirect: boolean;
}

/** Every product that a material or a product goes into, directly or through components, each once; direct ones first. */
export function whereUsed(sheet: Sheet, of: 'materialId' | 'componentId', id: string): UsedIn[] {
  const found = new Map<string, UsedIn>();
  const add = (lines: readonly RowOf<'billLine'>[], isDirect: boolean) => {
    const added: string[] = [];
    for (const line of lines) {
      const product = sheet.row('product', line.productId);
      if (product === undefined || found.has(product.id)) continue;
      found.set(product.id, { product, isDirect });
      added.push(product.id);
    }
    for (const productId of added) add(sheet.rowsOf('billLine', 'componentId', productId), false);
  };
  add(sheet.rowsOf('billLine', of, id), true);
  return [...found.values()].sort((one, other) => Number(other.isDirect) - Number(one.isDirect));
}

/** Every product that a material goes into, directly or through components, each once. */
export function productsUsing(sheet: Sheet, materialId: string): RowOf<'product'>[] {
  return whereUsed(sheet, 'materialId', materialId).map(({ product }) => product);
}

/** Something that is inside a product, at whatever depth. */
export interface GoesIn {
  readonly kind: 'material' | 'product';
  readonly id: string;
  readonly name: string;
  /** 1 for what stands in its own bill. */
  readonly depth: number;
}

/**
 * Everything that goes into a product, each component followed by what is inside it; what stands in several places is
 * named once, where it is met first.
 */
export function goesInto(sheet: Sheet, productId: string): GoesIn[] {
  const found = new Map<string, GoesIn>();
  const add = (of: string, depth: number) => {
    for (const line of sheet.rowsOf('billLine', 'productId', of)) {
      const kind = line.materialId === null ? 'product' : 'material';
      const id = line.materialId ?? line.componentId;
      if (id === null || id === productId || found.has(id)) continue;
      found.set(id, { kind, id, name: sheet.row(kind, id)?.name ?? '', depth });
      if (kind === 'product') add(id, depth + 1);
    }
  };
  add(productId, 1);
  return [...found.values()];
}
