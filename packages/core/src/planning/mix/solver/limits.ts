import type { MixModel } from '../mix-model.js';

/** One limit of a mix: what a resource allows, a total, or what is said of one product. */
export interface MixLimit {
  readonly of: 'resource' | 'total' | 'least' | 'most' | 'lot' | 'whole' | 'batch';
  /** The place of the resource, the total or the product in the model. */
  readonly at: number;
}

/** All limits of a mix, each by itself. */
export function limitsOf({ resources, totals, products }: MixModel): MixLimit[] {
  const ofProducts = products.flatMap(({ least, most, lot, step, batch }, at): MixLimit[] => [
    ...(least > 0 ? [{ of: 'least', at } as const] : []),
    ...(most === null ? [] : [{ of: 'most', at } as const]),
    ...(lot === null ? [] : [{ of: 'lot', at } as const]),
    ...(step === null ? [] : [{ of: 'whole', at } as const]),
    ...(batch === null ? [] : [{ of: 'batch', at } as const]),
  ]);
  return [
    ...ofProducts,
    ...totals.map((_total, at): MixLimit => ({ of: 'total', at })),
    ...resources.map((_resource, at): MixLimit => ({ of: 'resource', at })),
  ];
}

/** The model with some of its limits alone. */
export function withLimits(model: MixModel, limits: readonly MixLimit[]): MixModel {
  const held = new Set(limits.map(({ of, at }) => `${of}.${at}`));
  const holds = (of: MixLimit['of'], at: number) => held.has(`${of}.${at}`);
  const resources = model.resources.map((resource, at) =>
    holds('resource', at) ? resource : { ...resource, available: Number.POSITIVE_INFINITY },
  );
  return {
    ...model,
    resources,
    totals: model.totals.filter((_total, at) => holds('total', at)),
    products: model.products.map((product, at) => ({
      ...product,
      least: holds('least', at) ? product.least : 0,
      most: holds('most', at) ? product.most : null,
      lot: holds('lot', at) ? product.lot : null,
      step: holds('whole', at) ? product.step : null,
      batch: holds('batch', at) ? product.batch : null,
    })),
  };
}
