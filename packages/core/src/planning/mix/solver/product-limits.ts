import type { MixModel, ModelMaking, ModelProduct, ModelTotal } from '../mix-model.js';
import { groupedBy } from './grouped-by.js';

/** More of a product than anybody makes. */
export const BEYOND_ALL_NEED = 1e9;

/** How much of each product its limits allow at most; infinite where nothing limits it. */
export function limitsByProduct(model: MixModel): number[] {
  const { products, resources, uses, totals } = model;
  const limits = products.map(({ most, useful }) =>
    Math.min(most ?? Number.POSITIVE_INFINITY, useful ?? Number.POSITIVE_INFINITY),
  );
  const lower = (at: number, limit: number) => {
    limits[at] = Math.min(limits[at] ?? limit, limit);
  };
  const supplyOf = suppliesOf(model, limits);
  // What one product takes of another, or counts against it, passes on what limits that one.
  const isPassedOn =
    uses.some(({ perUnit }) => perUnit < 0) || totals.some(({ terms }) => terms.some(([, by]) => by < 0));
  for (let turn = 0; turn < (isPassedOn ? TURNS : 1); turn += 1) {
    const supplies = resources.map((_resource, at) => supplyOf(at));
    for (const { product, resource, perUnit, forSetUp } of uses)
      if (perUnit > 0) lower(product, Math.max(0, (supplies[resource] ?? 0) - forSetUp) / perUnit);
    for (const total of totals) limitByTotal(total, limits, lower);
  }
  return limits;
}

/** How much of each resource there can be: what there is, its extra, what of a component can be made, and what products add to it. */
function suppliesOf(model: MixModel, limits: readonly number[]): (resource: number) => number {
  const added = groupedBy(
    model.uses.filter(({ perUnit, forSetUp }) => perUnit < 0 || forSetUp < 0),
    ({ resource }) => resource,
  );
  return (at) => {
    const { available = 0, extra = 0, making = null } = model.resources[at] ?? {};
    const made = making === null ? 0 : makeable(model, making);
    const ofProducts = (added.get(at) ?? []).reduce(
      (so, { product, perUnit, forSetUp }) =>
        so + (perUnit < 0 ? -perUnit * (limits[product] ?? 0) : 0) + Math.max(0, -forSetUp),
      0,
    );
    return available + extra + made + ofProducts;
  };
}

/** So often are limits passed on from product to product: further than that no plan goes. */
const TURNS = 8;

function limitByTotal(
  { rule, units, terms }: ModelTotal,
  limits: readonly number[],
  lower: (at: number, limit: number) => void,
): void {
  const sides: (1 | -1)[] = rule === 'at most' ? [1] : rule === 'at least' ? [-1] : [1, -1];
  for (const side of sides)
    for (const [product, by] of terms) {
      if (side * by <= 0) continue;
      const against = terms.reduce(
        (so, [other, counts]) => (side * counts < 0 ? so + Math.abs(counts) * (limits[other] ?? 0) : so),
        side * units,
      );
      lower(product, Math.max(0, against) / Math.abs(by));
    }
}

/** The same as a number in any case: nobody makes more than all that is asked for, where more brings nothing. */
export function boundsByProduct(model: MixModel): number[] {
  const asked = model.totals.reduce((so, { rule, units, terms }) => {
    const smallest = terms.reduce((least, [, by]) => (by > 0 ? Math.min(least, by) : least), 1);
    return rule === 'at most' ? so : so + Math.max(0, units) / smallest;
  }, 0);
  return limitsByProduct(model).map((limit, at) => {
    if (Number.isFinite(limit)) return limit;
    const { least, lot, step } = model.products[at] as ModelProduct;
    return asked > 0 || least > 0 ? Math.max(asked, least, lot ?? 0) + (step ?? 0) : BEYOND_ALL_NEED;
  });
}

/** The products that bring more without end: nothing limits them. What adds to a resource brings nothing by itself, so no other mix is endless. Where no mix fits at all, that is another matter. */
export function unlimitedProducts(model: MixModel): number[] {
  if (model.isLeast) return [];
  return limitsByProduct(model).flatMap((limit, at) =>
    limit === Number.POSITIVE_INFINITY && (model.products[at]?.gain ?? 0) > 0 ? [at] : [],
  );
}

/** How many of a component the resources suffice for at most; what it takes of other components can be made too. */
export function makeable(model: MixModel, making: readonly ModelMaking[], depth = 0): number {
  const { resources } = model;
  return making.reduce((so, { resource, perUnit }) => {
    const { available = 0, extra = 0, making: inside = null } = resources[resource] ?? {};
    const made = inside === null ? 0 : depth < resources.length ? makeable(model, inside, depth + 1) : Infinity;
    return Math.min(so, (available + extra + made) / perUnit);
  }, Number.POSITIVE_INFINITY);
}
