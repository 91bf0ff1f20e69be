import type { MixModel, ModelProduct, ModelResource } from '../mix-model.js';

/** A product of an example: what a unit brings, what it takes of each resource, and what else is said of it. */
export interface ExampleProduct extends Partial<Omit<ModelProduct, 'gain'>> {
  readonly name: string;
  readonly gain: number;
  readonly uses: readonly number[];
  readonly setUpUses?: readonly number[];
}

/** A model as a test states it. */
export function exampleModel(
  products: readonly ExampleProduct[],
  resources: readonly (Partial<ModelResource> & { readonly available: number })[],
  more: Partial<MixModel> = {},
): MixModel {
  return {
    name: 'Example',
    goal: 'profit after set-up',
    isLeast: false,
    secondsAtMost: 10,
    gapPercent: 0,
    fixed: 0,
    isInPeriods: false,
    totals: [],
    products: products.map(({ uses: _uses, setUpUses: _setUpUses, ...product }, place) => ({
      id: `p${place}`,
      unit: 'each',
      contribution: product.gain,
      least: 0,
      most: null,
      lot: null,
      step: null,
      batch: null,
      setUpCost: 0,
      setUpWith: place,
      useful: null,
      isCost: false,
      place,
      ...product,
    })),
    resources: resources.map((resource, at) => ({
      id: `r${at}`,
      name: `Resource ${at + 1}`,
      unit: 'h',
      extra: 0,
      premium: 0,
      normalPrice: 0,
      making: null,
      isStock: false,
      ...resource,
    })),
    uses: products.flatMap(({ uses, setUpUses = [] }, product) =>
      resources.flatMap((_resource, resource) => {
        const use = { product, resource, perUnit: uses[resource] ?? 0, forSetUp: setUpUses[resource] ?? 0 };
        return use.perUnit === 0 && use.forSetUp === 0 ? [] : [use];
      }),
    ),
    ...more,
  };
}
