import type { MixModel, ModelProduct } from '../mix-model.js';
import { headsMade } from './solved.js';

/** What comes of making first what brings most for each unit of one resource. */
export interface RankedMix {
  /** Products that take the resource, the first that brings most for each unit of it. */
  readonly order: readonly { readonly at: number; readonly perResource: number }[];
  /** By product of the model. */
  readonly quantities: readonly number[];
  /** What it reaches of the goal. */
  readonly goal: number;
  /** The resources that ran out on the way, in the order in which they did. */
  readonly ranOut: readonly number[];
}

/**
 * The mix by ranking: first what must be made, then each product in the order of its gain for a unit of one resource, as much of it
 * as all limits still allow. With one limit it is the best mix; with several it mostly is not. Totals of at least so many, or
 * exactly so many, are left aside. Source: contribution per unit of the limiting factor, common practice.
 */
export function rankedMix(model: MixModel, resource: number): RankedMix {
  const usesOf = (at: number) => model.uses.filter(({ product }) => product === at);
  const left = model.resources.map(({ available, extra }) => available + extra);
  const leftOfTotals = model.totals.map(({ rule, units }) => (rule === 'at least' ? Number.POSITIVE_INFINITY : units));
  const quantities = model.products.map(() => 0);
  const ranOut: number[] = [];
  const make = (at: number, quantity: number) => {
    if (quantity <= 0) return;
    const head = model.products[at]?.setUpWith ?? at;
    const isFirst = !headsMade(model, quantities).has(head);
    quantities[at] = (quantities[at] ?? 0) + quantity;
    for (const { resource: of, perUnit } of usesOf(at)) left[of] = (left[of] ?? 0) - perUnit * quantity;
    if (isFirst) for (const { resource: of, forSetUp } of usesOf(head)) left[of] = (left[of] ?? 0) - forSetUp;
    model.totals.forEach(({ products }, total) => {
      if (products.includes(at)) leftOfTotals[total] = (leftOfTotals[total] ?? 0) - quantity;
    });
    left.forEach((amount, of) => {
      const isUsed =
        (model.resources[of]?.available ?? 0) > 0 && amount <= 1e-9 * Math.max(1, model.resources[of]?.available ?? 0);
      if (isUsed && !ranOut.includes(of)) ranOut.push(of);
    });
  };
  model.products.forEach(({ least }, at) => make(at, least));
  const turn = model.isLeast ? -1 : 1;
  const order = model.products
    .flatMap(({ gain }, at) => {
      const perUnit = usesOf(at).find((use) => use.resource === resource)?.perUnit ?? 0;
      return perUnit === 0 ? [] : [{ at, perResource: (turn * gain) / perUnit }];
    })
    .sort((one, other) => other.perResource - one.perResource);
  const rest = model.products.flatMap(({ gain }, at) =>
    order.some((each) => each.at === at) || gain <= 0 ? [] : [{ at, perResource: gain }],
  );
  for (const { at, perResource } of [...order, ...(model.isLeast ? [] : rest)]) {
    const product = model.products[at] as ModelProduct;
    if (perResource <= 0) continue;
    const sofar = madeTogether(model, product.setUpWith, quantities);
    make(at, fitting(model, product, room(model, product, at, quantities, left, leftOfTotals), sofar));
  }
  return { order, quantities, ranOut, goal: goalOf(model, quantities) };
}

/** What quantities reach of the goal of a model, with their set-ups and what extra costs. */
function goalOf(model: MixModel, quantities: readonly number[]): number {
  const { products, resources, uses, isLeast } = model;
  const turn = isLeast ? 1 : -1;
  const isMade = headsMade(model, quantities);
  const made = products.reduce(
    (so, { gain, setUpCost }, at) => so + gain * (quantities[at] ?? 0) + (isMade.has(at) ? turn * setUpCost : 0),
    0,
  );
  const extra = resources.reduce((so, { available, premium }, at) => {
    const used = uses.reduce(
      (sum, { product, resource, perUnit, forSetUp }) =>
        resource === at ? sum + perUnit * (quantities[product] ?? 0) + (isMade.has(product) ? forSetUp : 0) : sum,
      0,
    );
    return so + Math.max(0, used - available) * premium;
  }, 0);
  return made + turn * extra;
}

/** The resource to rank by first: one whose ranking is furthest from the best mix; the first where all reach it. */
export function furthestRanking(model: MixModel, goal: number): number {
  const apart = model.resources.map((_resource, at) => Math.abs(goal - rankedMix(model, at).goal));
  return apart.reduce((so, each, at) => (each > (apart[so] ?? 0) + 1e-6 ? at : so), 0);
}

/** How much is made of a product in all its lines. */
const madeTogether = ({ products }: MixModel, head: number, quantities: readonly number[]): number =>
  products.reduce((so, { setUpWith }, at) => (setUpWith === head ? so + (quantities[at] ?? 0) : so), 0);

/** How much more of a product fits into what is left. */
function room(
  model: MixModel,
  { most, setUpWith }: ModelProduct,
  at: number,
  quantities: readonly number[],
  left: readonly number[],
  leftOfTotals: readonly number[],
): number {
  const isSetUp = headsMade(model, quantities).has(setUpWith);
  const forSetUp = (of: number) =>
    isSetUp ? 0 : (model.uses.find(({ product, resource }) => product === setUpWith && resource === of)?.forSetUp ?? 0);
  const byResources = model.uses.flatMap(({ product, resource, perUnit }) =>
    product !== at || perUnit === 0 ? [] : [((left[resource] ?? 0) - forSetUp(resource)) / perUnit],
  );
  const byTotals = model.totals.flatMap(({ products }, total) =>
    products.includes(at) ? [leftOfTotals[total] ?? 0] : [],
  );
  const byMost = most === null ? Number.POSITIVE_INFINITY : most - (quantities[at] ?? 0);
  const least = Math.min(byMost, ...byResources, ...byTotals);
  return Number.isFinite(least) ? Math.max(0, least) : 0;
}

/** That in whole steps, and nothing where it is less than the minimum lot. */
function fitting(model: MixModel, { step, setUpWith }: ModelProduct, amount: number, made: number): number {
  const lot = model.products[setUpWith]?.lot ?? null;
  const whole = step === null ? amount : Math.floor(amount / step + 1e-9) * step;
  return lot !== null && made + whole < lot ? 0 : whole;
}
