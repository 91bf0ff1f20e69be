import { type MixView, quantitiesOfPlan } from '@nuvar/core';
import type { MixSearch } from './use-mix-search.js';

/** The best mix of a search, one quantity for each product of the plan, as decimals; null where none was found. */
export function bestQuantities({ answer, model }: MixSearch, { products }: MixView): readonly string[] | null {
  if (answer === null || model === null || answer.quantities.length === 0) return null;
  return quantitiesOfPlan(products, model, answer.quantities);
}

/** A model without the quantities tried by hand: by it, figures that changed since a search are noticed. */
export const shapeOf = (model: MixView['model']): string =>
  JSON.stringify({ ...model, products: model.products.map((product) => ({ ...product, quantity: 0 })) });
