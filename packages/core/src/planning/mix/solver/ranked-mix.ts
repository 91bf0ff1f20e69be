import type { MixModel, ModelProduct, ModelUse } from '../mix-model.js';
import type { MixLimit } from './limits.js';
import { brokenLimits, extraUsed, mixSums, withComponents } from './mix-sums.js';
import { limitsByProduct } from './product-limits.js';

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
  /** The limits that it could not keep to: then it is no mix that can be made. */
  readonly broken: readonly MixLimit[];
}

/**
 * The mixes by ranking, one for each resource: first what must be made, in whole steps and whole lots; then what the totals of at
 * least so many ask for; then each product in the order of its gain for a unit of the resource, as much of it as all limits still
 * allow, with extra and set-ups where they pay. With one limit it is the best mix; with several it mostly is not, and it can never
 * beat it. Limits that it cannot keep to are told. Source: contribution per unit of the limiting factor, common practice.
 */
export function rankedMixes(model: MixModel): RankedMix[] {
  const plan = planOf(model);
  return model.resources.map((_resource, at) => rankedMix(plan, at));
}

/** The resource to rank by first: one whose ranking is furthest from the best mix; the first where all reach it. */
export function furthestRanking(ranked: readonly RankedMix[], goal: number): number {
  const apart = ranked.map((each) => (each.broken.length > 0 ? 0 : Math.abs(goal - each.goal)));
  return apart.reduce((so, each, at) => (each > (apart[so] ?? 0) + 1e-6 ? at : so), 0);
}

/** A model with what belongs to each product brought together. */
interface Plan {
  readonly model: MixModel;
  readonly usesOf: readonly (readonly ModelUse[])[];
  /** By the place of a head: what its set-up takes. */
  readonly setUpUsesOf: readonly (readonly ModelUse[])[];
  /** True where components are made beyond their stock: then what a product takes depends on how much is made of all. */
  readonly hasComponents: boolean;
  /** By product: how much its limits allow by themselves. */
  readonly limits: readonly number[];
  /** By product: the totals in which it counts, and how much one of it counts. */
  readonly totalsOf: readonly (readonly (readonly [total: number, by: number])[])[];
}

function planOf(model: MixModel): Plan {
  const usesOf = model.products.map((): ModelUse[] => []);
  for (const use of model.uses) usesOf[use.product]?.push(use);
  const limits = limitsByProduct(model);
  const hasComponents = model.resources.some(({ making }) => making !== null);
  const totalsOf = model.products.map((): (readonly [number, number])[] => []);
  model.totals.forEach(({ terms }, total) => {
    for (const [product, by] of terms) if (by !== 0) totalsOf[product]?.push([total, by]);
  });
  const setUpUsesOf = usesOf.map((uses) => uses.filter(({ forSetUp }) => forSetUp > 0));
  return {
    model,
    usesOf: usesOf.map((uses) => uses.filter(({ perUnit }) => perUnit > 0)),
    setUpUsesOf,
    totalsOf,
    limits,
    hasComponents,
  };
}

/** A mix as it is put together. */
interface Making extends Plan {
  readonly quantities: number[];
  readonly together: number[];
  readonly taken: number[];
  readonly totals: number[];
  readonly ranOut: number[];
}

function rankedMix(plan: Plan, resource: number): RankedMix {
  const { model } = plan;
  const making: Making = {
    ...plan,
    quantities: model.products.map(() => 0),
    together: model.products.map(() => 0),
    taken: model.resources.map(() => 0),
    totals: model.totals.map(() => 0),
    ranOut: [],
  };
  const order = orderBy(plan, resource);
  const ranked = order.map(({ at }) => at);
  const isRanked = new Set(ranked);
  const rest = model.products.flatMap(({ gain }, at) => (isRanked.has(at) || gain <= 0 ? [] : [at]));
  makeLeast(making);
  fillTotals(making, [...ranked, ...rest]);
  if (!model.isLeast)
    for (const at of [...ranked, ...rest]) if ((model.products[at]?.gain ?? 0) > 0) makeWhatPays(making, at);
  const { quantities, ranOut } = making;
  return { order, quantities, ranOut, goal: mixSums(model, quantities).goal, broken: brokenLimits(model, quantities) };
}

function orderBy({ model, usesOf }: Plan, resource: number): RankedMix['order'] {
  const turn = model.isLeast ? -1 : 1;
  return model.products
    .flatMap(({ gain }, at) => {
      const perUnit = usesOf[at]?.find((use) => use.resource === resource)?.perUnit ?? 0;
      return perUnit === 0 ? [] : [{ at, perResource: (turn * gain) / perUnit }];
    })
    .sort((one, other) => other.perResource - one.perResource);
}

/** What must be made, whatever it brings: in whole steps, and a whole lot where it is made at all. */
function makeLeast(making: Making): void {
  const { products } = making.model;
  products.forEach(({ least, step }, at) => make(making, at, upTo(least, step)));
  products.forEach(({ lot, step }, at) => {
    const made = making.together[at] ?? 0;
    if (lot !== null && made > 0 && made < lot) make(making, at, upTo(lot - made, step));
  });
}

/** What the totals of at least so many, or exactly so many, still lack: of the products that come first. */
function fillTotals(making: Making, ranked: readonly number[]): void {
  making.model.totals.forEach(({ rule, units, terms }, total) => {
    if (rule === 'at most') return;
    const counts = new Map(terms);
    for (const at of ranked) {
      const by = counts.get(at) ?? 0;
      const lacking = units - (making.totals[total] ?? 0);
      if (by <= 0 || lacking <= 1e-9) continue;
      const product = making.model.products[at] as ModelProduct;
      const asked = Math.max(upTo(lacking / by, product.step), lotLeft(making, product));
      make(making, at, Math.min(asked, inSteps(roomFor(making, at, true), product.step)));
    }
  });
}

/** As much more of a product as pays: out of the normal supply, and with extra where that leaves more. */
function makeWhatPays(making: Making, at: number): void {
  const { step } = making.model.products[at] as ModelProduct;
  for (const withExtra of [false, true]) {
    const amount = inSteps(roomFor(making, at, withExtra), step);
    if (
      amount > 0 &&
      amount >= lotLeft(making, making.model.products[at] as ModelProduct) &&
      gained(making, at, amount) > 0
    )
      make(making, at, amount);
  }
}

const isSetUp = ({ together }: Making, head: number) => (together[head] ?? 0) > 0;

/** What of its lot is still to be made of a product. */
const lotLeft = ({ model, together }: Making, { setUpWith }: ModelProduct): number =>
  Math.max(0, (model.products[setUpWith]?.lot ?? 0) - (together[setUpWith] ?? 0));

function make(making: Making, at: number, quantity: number): void {
  if (!(quantity > 0)) return;
  for (const [resource, taken] of takes(making, at, quantity)) take(making, resource, taken);
  for (const [total, by] of making.totalsOf[at] ?? []) addTo(making.totals, total, by * quantity);
  addTo(making.quantities, at, quantity);
  addTo(making.together, making.model.products[at]?.setUpWith ?? at, quantity);
}

function take({ model, taken, ranOut }: Making, resource: number, more: number): void {
  addTo(taken, resource, more);
  const { available = 0, extra = 0, making: isMade = null } = model.resources[resource] ?? {};
  const there = available + extra;
  const isOut = isMade === null && there > 0 && there - (taken[resource] ?? 0) <= 1e-9 * there;
  if (isOut && !ranOut.includes(resource)) ranOut.push(resource);
}

const addTo = (all: number[], at: number, more: number): void => {
  all[at] = (all[at] ?? 0) + more;
};

/** What so much more of a product takes of each resource, with its set-up where it is not made yet. */
function takes(making: Making, at: number, quantity: number): [resource: number, taken: number][] {
  const head = making.model.products[at]?.setUpWith ?? at;
  const ofUnits = (making.usesOf[at] ?? []).map(({ resource, perUnit }): [number, number] => [
    resource,
    perUnit * quantity,
  ]);
  if (isSetUp(making, head)) return ofUnits;
  const ofSetUp = making.setUpUsesOf[head] ?? [];
  return [...ofUnits, ...ofSetUp.map(({ resource, forSetUp }): [number, number] => [resource, forSetUp])];
}

/** What so much more of a product adds to the goal, less its set-up and what extra costs above the normal supply. */
function gained(making: Making, at: number, quantity: number): number {
  const { products, resources } = making.model;
  const { gain, setUpWith } = products[at] as ModelProduct;
  const [before, after] = [takenWith(making, at, 0), takenWith(making, at, quantity)];
  const extra = resources.reduce(
    (so, resource, of) =>
      so + (extraUsed(resource, after[of] ?? 0) - extraUsed(resource, before[of] ?? 0)) * resource.premium,
    0,
  );
  return gain * quantity - (isSetUp(making, setUpWith) ? 0 : (products[setUpWith]?.setUpCost ?? 0)) - extra;
}

/** How much more of a product all limits allow; nothing where nothing limits it. */
function roomFor(making: Making, at: number, withExtra: boolean): number {
  const { model, quantities, taken } = making;
  const { most, setUpWith } = model.products[at] as ModelProduct;
  const ofSetUp = isSetUp(making, setUpWith) ? [] : (making.setUpUsesOf[setUpWith] ?? []);
  const left = (of: number) => {
    const { available = 0, extra = 0 } = model.resources[of] ?? {};
    const once = ofSetUp.find(({ resource }) => resource === of)?.forSetUp ?? 0;
    return available + (withExtra ? extra : 0) - (taken[of] ?? 0) - once;
  };
  if (making.hasComponents) return roomWithComponents(making, at, withExtra);
  if (ofSetUp.some(({ resource }) => left(resource) < 0)) return 0;
  let room = most === null ? Number.POSITIVE_INFINITY : most - (quantities[at] ?? 0);
  for (const { resource, perUnit } of making.usesOf[at] ?? []) {
    if (room <= 0) return 0;
    room = Math.min(room, left(resource) / perUnit);
  }
  for (const byTotal of roomsOfTotals(making, at)) room = Math.min(room, byTotal);
  return Number.isFinite(room) ? Math.max(0, room) : 0;
}

const HALVINGS = 60;

/** The same where components are made beyond their stock: found by halving, since what a unit takes rises where a stock ends. */
function roomWithComponents(making: Making, at: number, withExtra: boolean): number {
  const { model, quantities, limits } = making;
  const own = (limits[at] ?? 0) - (quantities[at] ?? 0);
  const most = Math.min(own, ...roomsOfTotals(making, at));
  const fits = (amount: number) =>
    takenWith(making, at, amount).every((taken, of) => {
      const { available = 0, extra = 0, making: isMade = null } = model.resources[of] ?? {};
      const there = available + (withExtra ? extra : 0);
      return isMade !== null || taken <= there + 1e-9 * Math.max(1, there);
    });
  if (!(most > 0) || !Number.isFinite(most)) return 0;
  if (fits(most)) return most;
  let [low, high] = [0, most];
  for (let turn = 0; turn < HALVINGS; turn += 1) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** What is taken of each resource with so much more of a product, components made beyond their stock included. */
function takenWith(making: Making, at: number, amount: number): readonly number[] {
  const direct = [...making.taken];
  if (amount > 0) for (const [resource, more] of takes(making, at, amount)) addTo(direct, resource, more);
  return withComponents(making.model, direct);
}

/** How much more of a product each of its totals allows. */
const roomsOfTotals = ({ model, totals, totalsOf }: Making, at: number): number[] =>
  (totalsOf[at] ?? []).flatMap(([total, by]) => {
    const { rule, units = 0 } = model.totals[total] ?? {};
    const left = units - (totals[total] ?? 0);
    if (by > 0) return rule === 'at least' ? [] : [left / by];
    return rule === 'at most' ? [] : [left / by];
  });

const inSteps = (amount: number, step: number | null) =>
  step === null ? amount : Math.floor(amount / step + 1e-9) * step;
const upTo = (amount: number, step: number | null) => (step === null ? amount : Math.ceil(amount / step - 1e-9) * step);
