import type { MixModel, ModelResource } from '../mix-model.js';
import type { MixLimit } from './limits.js';

/** What quantities of the products of a model take, and what they reach. Amounts are binary floats. */
interface MixSums {
  /** By resource: what is taken of it, with the set-ups of all that is made, and of components that are made beyond their stock. */
  readonly taken: readonly number[];
  /** By total: what its terms come to. */
  readonly totals: readonly number[];
  /** The places of the lines whose set-up is paid. */
  readonly made: ReadonlySet<number>;
  readonly goal: number;
}

/** Adds up what quantities, by product of a model, take and reach. Whether they fit is not looked at. */
export function mixSums(model: MixModel, quantities: readonly number[]): MixSums {
  const { products, resources, uses, totals, isLeast, fixed } = model;
  const made = headsMade(model, quantities);
  const direct = resources.map(() => 0);
  for (const { product, resource, perUnit, forSetUp } of uses)
    direct[resource] =
      (direct[resource] ?? 0) + perUnit * (quantities[product] ?? 0) + (made.has(product) ? forSetUp : 0);
  const taken = withComponents(model, direct);
  const turn = isLeast ? 1 : -1;
  const ofProducts = products.reduce(
    (so, { gain, setUpCost }, at) => so + gain * (quantities[at] ?? 0) + (made.has(at) ? turn * setUpCost : 0),
    0,
  );
  const ofExtra = resources.reduce((so, each, at) => so + extraUsed(each, taken[at] ?? 0) * each.premium, 0);
  return {
    taken,
    made,
    totals: totals.map(({ terms }) => terms.reduce((so, [product, by]) => so + by * (quantities[product] ?? 0), 0)),
    goal: ofProducts + turn * (ofExtra + fixed),
  };
}

/** What is made of a component: what is taken beyond its stock. Nothing of what is not made. */
export const componentMade = ({ available, making }: ModelResource, taken: number): number =>
  making === null ? 0 : Math.max(0, taken - available);

/**
 * What is taken of each resource with what making components beyond their stock takes, by what products take themselves. One may
 * take another: they are gone through until nothing changes, at most as often as there are of them.
 */
export function withComponents({ resources }: MixModel, direct: readonly number[]): readonly number[] {
  const components = resources.filter(({ making }) => making !== null).length;
  let taken = direct;
  for (let turn = 0; turn < components; turn += 1) {
    const next = [...direct];
    resources.forEach((resource, at) => {
      const made = componentMade(resource, taken[at] ?? 0);
      for (const { resource: of, perUnit } of resource.making ?? []) next[of] = (next[of] ?? 0) + made * perUnit;
    });
    taken = next;
  }
  return taken;
}

/** What of the extra is used: what is above the normal supply, or first of all where extra is cheaper than that. */
export const extraUsed = ({ available, extra, premium }: ModelResource, taken: number): number =>
  Math.min(extra, Math.max(0, premium < 0 ? taken : taken - available));

/** The places of the lines whose set-up is paid: those of the products that are made in any of their lines. */
export const headsMade = ({ products }: MixModel, quantities: readonly number[]): ReadonlySet<number> =>
  new Set(products.flatMap(({ setUpWith }, at) => ((quantities[at] ?? 0) > 0 ? [setUpWith] : [])));

/** How much is made of each product in all its lines, by the place of its head. */
export function madeByHead({ products }: MixModel, quantities: readonly number[]): readonly number[] {
  const made = products.map(() => 0);
  products.forEach(({ setUpWith }, at) => {
    made[setUpWith] = (made[setUpWith] ?? 0) + (quantities[at] ?? 0);
  });
  return made;
}

const NEAR = 1e-7;
const isAbove = (value: number, limit: number) => value - limit > NEAR * Math.max(1, Math.abs(limit));

/** The limits that quantities break. */
export function brokenLimits(model: MixModel, quantities: readonly number[]): MixLimit[] {
  const { taken, totals } = mixSums(model, quantities);
  const together = madeByHead(model, quantities);
  const isSplit = (amount: number, by: number | null) => {
    const parts = by === null ? 0 : amount / by;
    return Math.abs(parts - Math.round(parts)) > NEAR * Math.max(1, parts);
  };
  const ofProducts = model.products.flatMap(({ least, most, lot, step, batch }, at): MixLimit[] => {
    const quantity = quantities[at] ?? 0;
    const made = together[at] ?? 0;
    return [
      ...(isAbove(least, quantity) ? [{ of: 'least', at } as const] : []),
      ...(most !== null && isAbove(quantity, most) ? [{ of: 'most', at } as const] : []),
      ...(lot !== null && made > 0 && isAbove(lot, made) ? [{ of: 'lot', at } as const] : []),
      ...(isSplit(quantity, step) ? [{ of: 'whole', at } as const] : []),
      ...(isSplit(made, batch) ? [{ of: 'batch', at } as const] : []),
    ];
  });
  return [
    ...ofProducts,
    ...model.totals.flatMap(({ rule, units }, at): MixLimit[] => {
      const value = totals[at] ?? 0;
      const isBroken = (rule !== 'at least' && isAbove(value, units)) || (rule !== 'at most' && isAbove(units, value));
      return isBroken ? [{ of: 'total', at }] : [];
    }),
    ...model.resources.flatMap(({ available, extra, making }, at): MixLimit[] =>
      making === null && isAbove(taken[at] ?? 0, available + extra) ? [{ of: 'resource', at }] : [],
    ),
  ];
}
