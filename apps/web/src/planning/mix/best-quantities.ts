import { type MixModel, type MixView, quantitiesOfPlan } from '@nuvar/core';
import type { MixSearch } from './use-mix-search.js';

/** The best mix of a search, one amount for each quantity of the plan, as decimals; null where none was found. */
export function bestQuantities({ findings }: MixSearch, { slots }: MixView): readonly string[] | null {
  if (findings === null || findings.answer.quantities.length === 0) return null;
  return quantitiesOfPlan(slots, findings.model, findings.answer.quantities);
}

/** The quantities tried by hand, by product of a model. */
export const triedQuantities = ({ products }: MixModel, view: MixView): readonly number[] =>
  products.map(({ place }) => Number(view.slots[place]?.quantity ?? 0));

/** What a model says: by it, figures that changed since a search are noticed. */
export const shapeOf = (model: MixModel): string => JSON.stringify(model);
