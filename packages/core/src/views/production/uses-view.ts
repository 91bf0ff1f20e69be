import { type GoesIn, goesInto, whereUsed } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';

export interface UsedInView {
  readonly id: string;
  readonly name: string;
  readonly isDirect: boolean;
}

/** Where a product is used, and what is inside it, both ways and at any depth. */
export interface UsesView {
  readonly usedIn: readonly UsedInView[];
  readonly inside: readonly GoesIn[];
}

/** Where a product is used, and what is inside it. */
export function usesView({ sheet }: Evaluation, productId: string): UsesView {
  return { usedIn: usedInView(sheet, 'componentId', productId), inside: goesInto(sheet, productId) };
}

/** The products that a material or a product goes into, as plain data. */
export function usedInView(sheet: Evaluation['sheet'], of: 'materialId' | 'componentId', id: string): UsedInView[] {
  return whereUsed(sheet, of, id).map(({ product, isDirect }) => ({ id: product.id, name: product.name, isDirect }));
}
