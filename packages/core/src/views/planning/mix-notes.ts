import type { Figure } from '../../figure/index.js';
import {
  isSetUpLeftOut,
  madeResources,
  mixComponentUse,
  mixUse,
  nameInMix,
  nameOfResource,
  productsOfMix,
  resourcesOfMix,
} from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import type { GapView } from '../general/figure-view.js';

/** What is odd about a plan, in a sentence, with the place of it. */
export interface MixNote {
  readonly code: 'no-products' | 'no-resources' | 'never-used' | 'same-name' | 'set-up-twice';
  readonly name: string;
  readonly place: GapView['place'];
}

/** What is odd about a plan. */
export function mixNotes(evaluation: Evaluation, planId: string): MixNote[] {
  const { sheet } = evaluation;
  const products = productsOfMix(sheet, planId);
  const resources = resourcesOfMix(sheet, planId);
  const place = (kind: 'mixPlan' | 'mixProduct' | 'mixResource', id: string, field: string) => ({ kind, id, field });
  const isNone = (figure: Figure | null) => figure === null || figure.amount?.isZero() === true;
  const components = madeResources(sheet, planId);
  const unused = resources.filter(
    ({ id }) =>
      products.every((product) => {
        const { perUnit, forSetUp } = evaluation.read(mixUse, `${product.id}@${id}`);
        return isNone(perUnit) && isNone(forSetUp);
      }) &&
      components.every(
        (component) => component.id === id || isNone(evaluation.read(mixComponentUse, `${component.id}@${id}`).perUnit),
      ),
  );
  const seen = new Set<string>();
  const same = products.filter((row) => {
    const name = nameInMix(sheet, row);
    const isKnown = seen.has(name);
    seen.add(name);
    return isKnown;
  });
  return [
    ...(products.length === 0
      ? [{ code: 'no-products', name: '', place: place('mixPlan', planId, 'products') } as const]
      : []),
    ...(products.length > 0 && resources.length === 0
      ? [{ code: 'no-resources', name: '', place: place('mixPlan', planId, 'resources') } as const]
      : []),
    ...(products.length === 0
      ? []
      : unused.map((row) => ({
          ...({ code: 'never-used', name: nameOfResource(sheet, row) } as const),
          place: place('mixResource', row.id, 'name'),
        }))),
    ...same.map((row) => ({
      ...({ code: 'same-name', name: nameInMix(sheet, row) } as const),
      place: place('mixProduct', row.id, 'name'),
    })),
    ...products
      .filter((row) => isSetUpLeftOut(sheet, row))
      .map((row) => ({
        ...({ code: 'set-up-twice', name: sheet.row('product', row.productId ?? '')?.name ?? '' } as const),
        place: place('mixProduct', row.id, 'setUp'),
      })),
  ];
}
