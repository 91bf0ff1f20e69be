import type { MixGoal } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf, workshop } from '../../../testing/evaluated.js';
import { loadSolver } from '../highs/index.js';
import { plainDecimal, quantitiesOfPlan } from '../../../views/index.js';
import { mixModel, mixSlots, solveMix, withQuantities } from '../index.js';

let highs: Highs;
beforeAll(async () => {
  highs = await loadSolver();
});

/** A channel of a product: what is asked for in each period and in all of them, and what a unit leaves there. */
interface Channel {
  readonly contribution: number;
  readonly demand: readonly number[];
  /** In each period at least, where that is no more than the demand. */
  readonly least: readonly number[];
  readonly leastInAll: number;
  readonly mostInAll: number | null;
}

interface Product {
  readonly cost: number;
  readonly hours: number;
  readonly clay: number;
  readonly lids: number;
  /** Made in whole batches of so many, where the plan counts whole. */
  readonly batch: number | null;
  readonly opening: number;
  readonly closing: number | null;
  readonly storage: number;
  readonly keepsFor: number | null;
  readonly setUpCost: number;
  readonly lot: number | null;
  readonly channels: readonly Channel[];
}

/** A plan of several periods as plain numbers. */
interface Plan {
  readonly goal: MixGoal;
  /** Open days of each period, of 20 a month. */
  readonly days: readonly number[];
  readonly interest: number;
  readonly isWhole: boolean;
  readonly hours: {
    readonly wage: number;
    readonly available: number;
    readonly extra: number;
    readonly extraPrice: number;
    /** By period: what is typed in place of the part that falls to it. */
    readonly typed: readonly (number | null)[];
  };
  readonly clay: {
    readonly arrivals: readonly number[];
    readonly extra: number;
    readonly extraPrice: number;
    readonly normalPrice: number;
  };
  /** A component that takes so many quarters of an hour, and is there to begin with; null for none. */
  readonly lid: { readonly quarters: number; readonly opening: number } | null;
  /** On what is sold of all lines together. */
  readonly total: { readonly rule: 'at most' | 'at least'; readonly units: number } | null;
  readonly products: readonly Product[];
}

/** What is made of each product, sold in each of its channels and made of the component, by period. */
interface Schedule {
  readonly made: readonly (readonly number[])[];
  readonly sold: readonly (readonly (readonly number[])[])[];
  readonly lids: readonly number[];
}

/** The plan in a book, with a schedule that is tried by hand. */
function inBook(plan: Plan, schedule: Schedule | null = null) {
  let planId = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Studio', openDaysPerMonth: '20' });
    planId = book.add('mixPlan', { name: 'Weeks', goal: plan.goal, interestPercent: String(plan.interest) });
    const periods = plan.days.map((days, position) =>
      book.add('mixPeriod', { planId, position, name: `Week ${position + 1}`, openDays: String(days) }),
    );
    const channels = ['Stall', 'Shop'].map((name) => book.add('channel', { name }));
    const { wage, typed, ...hoursOf } = plan.hours;
    const gradeId = book.add('labourGrade', { name: 'Maker', wagePerHour: String(wage) });
    const hours = book.add('mixResource', { planId, gradeId, position: 0, ...textOf(hoursOf) });
    typed.forEach((amount, at) => {
      if (amount !== null)
        book.add('mixPeriodResource', { periodId: periods[at], resourceId: hours, available: String(amount) });
    });
    const { arrivals, ...clayOf } = plan.clay;
    const kept = { name: 'Clay', unit: 'kg', position: 1, isKept: true, available: '0' };
    const clay = book.add('mixResource', { planId, ...kept, ...textOf(clayOf) });
    arrivals.forEach((amount, at) =>
      book.add('mixPeriodResource', { periodId: periods[at], resourceId: clay, available: String(amount) }),
    );
    const lids = lidsOf(book, plan, { planId, gradeId, periods }, schedule);
    const total =
      plan.total &&
      book.add('mixTotal', { planId, name: 'All', rule: plan.total.rule, units: String(plan.total.units) });
    let position = 0;
    plan.products.forEach((product, at) => {
      const productId = book.add('product', { name: `Product ${at + 1}`, batchSize: String(product.batch ?? 1) });
      product.channels.forEach((channel, index) => {
        position += 1;
        const id = book.add('mixProduct', {
          planId,
          productId,
          position,
          channelId: channels[index],
          contribution: String(channel.contribution),
          variableCost: String(product.cost),
          revenue: String(channel.contribution + product.cost + 2),
          minimum: String(channel.leastInAll),
          maximum: channel.mostInAll === null ? null : String(Math.max(channel.leastInAll, channel.mostInAll)),
          ...(index === 0 ? stockOf(plan, product) : { countedIn: plan.isWhole ? 'whole units' : 'any amount' }),
        });
        book.add('mixUse', { mixProductId: id, resourceId: hours, perUnit: String(product.hours) });
        book.add('mixUse', { mixProductId: id, resourceId: clay, perUnit: String(product.clay) });
        if (lids !== null) book.add('mixUse', { mixProductId: id, resourceId: lids, perUnit: String(product.lids) });
        if (total !== null) book.add('mixTotalProduct', { totalId: total, mixProductId: id });
        periods.forEach((periodId, period) =>
          book.add('mixPeriodProduct', {
            periodId,
            mixProductId: id,
            minimum: String(leastIn(channel, period)),
            maximum: String(channel.demand[period]),
            made: String(index === 0 ? (schedule?.made[at]?.[period] ?? 0) : 0),
            sold: String(schedule?.sold[at]?.[index]?.[period] ?? 0),
          }),
        );
      });
    });
  });
  return { rows, planId };
}

/** What the first line of a product says of making and keeping it. */
const stockOf = ({ isWhole }: Plan, product: Product) => ({
  countedIn: !isWhole ? 'any amount' : product.batch === null ? 'whole units' : 'whole batches',
  openingStock: String(product.opening),
  closingStock: product.closing === null ? null : String(product.closing),
  storageCost: String(product.storage),
  keepsFor: product.keepsFor,
  setUpCost: String(product.setUpCost),
  lot: product.lot === null ? null : String(product.lot),
});

/** What the component is added to. */
interface OfPlan {
  readonly planId: string;
  readonly gradeId: string;
  readonly periods: readonly string[];
}

/** The component as a resource of the plan; null where there is none. */
function lidsOf(
  book: BookBuilder,
  { lid }: Plan,
  { planId, gradeId, periods }: OfPlan,
  schedule: Schedule | null,
): string | null {
  if (lid === null) return null;
  const componentId = book.add('product', { name: 'Lid' });
  const time = String(15 * lid.quarters);
  book.add('labourStep', { productId: componentId, name: 'Turn', gradeId, timeBasis: 'minutes per unit', time });
  const resourceId = book.add('mixResource', { planId, componentId, position: 2, available: String(lid.opening) });
  periods.forEach((periodId, at) =>
    book.add('mixPeriodResource', { periodId, resourceId, made: String(schedule?.lids[at] ?? 0) }),
  );
  return resourceId;
}

const leastIn = ({ least, demand }: Channel, period: number): number =>
  Math.min(least[period] ?? 0, demand[period] ?? 0);

const textOf = (numbers: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(numbers).map(([name, value]) => [name, String(value)]));

/** The solver's quantities have ten digits. */
const NOISE = 1e-6;

/** The plan replayed period by period with plain numbers: what it reaches, and whether everything fits. */
function replayed(plan: Plan, { made, sold, lids }: Schedule) {
  const { products, days, hours, clay, lid, interest, isWhole } = plan;
  let [proceeds, making, setUps, extraCost, holding, revenue, units] = [0, 0, 0, 0, 0, 0, 0];
  let [fits, clayLeft, clayExtra, lidsLeft] = [true, 0, clay.extra, lid?.opening ?? 0];
  const holds = (condition: boolean) => {
    fits &&= condition;
  };
  const stock = products.map(({ opening }) => opening);
  // By product: what of its stock was made when, the oldest first.
  const layers = products.map(({ opening }) => [{ period: -1, units: opening }]);
  const allDays = days.reduce((total, each) => total + each, 0);
  const lidCost = ((lid?.quarters ?? 0) / 4) * hours.wage;
  days.forEach((ofPeriod, period) => {
    let [hoursUsed, clayUsed, lidsUsed] = [0, 0, 0];
    const ofYear = ((interest / 100) * (ofPeriod / 20)) / 12;
    products.forEach((product, at) => {
      const count = made[at]?.[period] ?? 0;
      hoursUsed += count * product.hours;
      clayUsed += count * product.clay;
      lidsUsed += lid === null ? 0 : count * product.lids;
      making += count * product.cost;
      if (count > 0) setUps += product.setUpCost;
      holds(product.lot === null || count === 0 || count >= product.lot - NOISE);
      const step = isWhole ? (product.batch ?? 1) : null;
      holds(step === null || Math.abs(count / step - Math.round(count / step)) < NOISE);
      layers[at]?.push({ period, units: count });
      let out = 0;
      product.channels.forEach((channel, index) => {
        const quantity = sold[at]?.[index]?.[period] ?? 0;
        holds(quantity <= (channel.demand[period] ?? 0) + NOISE && quantity >= leastIn(channel, period) - NOISE);
        proceeds += quantity * (channel.contribution + product.cost);
        revenue += quantity * (channel.contribution + product.cost + 2);
        units += quantity;
        out += quantity;
      });
      stock[at] = (stock[at] ?? 0) + count - out;
      for (const layer of layers[at] ?? []) {
        const taken = Math.min(layer.units, out);
        layer.units -= taken;
        out -= taken;
      }
      const { keepsFor } = product;
      const isOld = (of: number) => keepsFor !== null && Math.max(0, of + keepsFor) <= period;
      holds(layers[at]?.some((layer) => layer.units > NOISE && isOld(layer.period)) !== true);
      const left = stock[at] ?? 0;
      holds(left >= -NOISE);
      holding += Math.max(0, left) * (product.storage + ofYear * product.cost);
      holds(period < days.length - 1 || left >= (product.closing ?? product.opening) - NOISE);
    });
    const lidsMade = lid === null ? 0 : (lids[period] ?? 0);
    lidsLeft += lidsMade - lidsUsed;
    hoursUsed += lidsMade * ((lid?.quarters ?? 0) / 4);
    // What products cost holds the lids in them: only those made ahead are paid for besides.
    making += lidCost * (lidsMade - lidsUsed);
    holding += Math.max(0, lidsLeft) * ofYear * lidCost;
    holds(lidsLeft >= -NOISE);
    lidsLeft = Math.max(0, lidsLeft);
    const part = ofPeriod / allDays;
    const available = hours.typed[period] ?? hours.available * part;
    const premium = hours.extraPrice - hours.wage;
    const over = Math.max(0, hoursUsed - available);
    extraCost += Math.min(premium < 0 ? hoursUsed : over, hours.extra * part) * premium;
    holds(over <= hours.extra * part + NOISE);
    clayLeft += clay.arrivals[period] ?? 0;
    const ofClay = clay.extraPrice - clay.normalPrice;
    const bought = Math.min(clayExtra, ofClay < 0 ? clayUsed : Math.max(0, clayUsed - clayLeft));
    extraCost += bought * ofClay;
    clayExtra -= bought;
    clayLeft += bought - clayUsed;
    holds(clayLeft >= -NOISE);
    clayLeft = Math.max(0, clayLeft);
  });
  products.forEach(({ channels }, at) =>
    channels.forEach(({ leastInAll, mostInAll }, index) => {
      const inAll = (sold[at]?.[index] ?? []).reduce((total, each) => total + each, 0);
      holds(inAll >= leastInAll - NOISE && (mostInAll === null || inAll <= Math.max(leastInAll, mostInAll) + NOISE));
    }),
  );
  const { total } = plan;
  if (total !== null) holds(total.rule === 'at most' ? units <= total.units + NOISE : units >= total.units - NOISE);
  const contribution = proceeds - making;
  const goals: Partial<Record<MixGoal, number>> = {
    contribution: contribution - extraCost - holding,
    'profit after set-up': contribution - extraCost - holding - setUps,
    revenue,
    units,
    // Its selling costs nothing: what is typed as variable cost is that of making.
    'least cost': making + setUps + extraCost + holding,
  };
  return { fits, goal: goals[plan.goal] ?? Number.NaN };
}

const upTo = (most: number) => fc.integer({ min: 0, max: most });
const quarters = (most: number) => upTo(most * 4).map((each) => each / 4);
const none = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { freq: 2 });

const plans = (isWhole: boolean, periods: number, most: number): fc.Arbitrary<Plan> =>
  drawn(isWhole, periods, most).map((plan) => ({
    ...plan,
    products: plan.products.map((product) => ({ ...product, cost: product.cost + normalCost(plan, product) })),
  }));

/** What a unit takes of hours, clay and lids at their normal prices: the cost of making it holds that. */
const normalCost = ({ hours, clay, lid }: Plan, product: Product): number =>
  product.hours * hours.wage +
  product.clay * clay.normalPrice +
  (lid === null ? 0 : (product.lids * lid.quarters * hours.wage) / 4);

const drawn = (isWhole: boolean, periods: number, most: number): fc.Arbitrary<Plan> =>
  fc.record({
    goal: fc.constantFrom<MixGoal>('contribution', 'profit after set-up', 'profit after set-up', 'least cost'),
    days: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: periods, maxLength: periods }),
    interest: fc.constantFrom(0, 0, 12, 120),
    isWhole: fc.constant(isWhole),
    hours: fc.record({
      wage: fc.constantFrom(0, 4),
      available: upTo(most * 3),
      extra: upTo(6),
      extraPrice: upTo(9),
      typed: fc.array(none(upTo(most * 2)), { minLength: periods, maxLength: periods }),
    }),
    clay: fc.record({
      arrivals: fc.array(upTo(most * 2), { minLength: periods, maxLength: periods }),
      extra: upTo(6),
      extraPrice: upTo(9),
      normalPrice: fc.constantFrom(0, 0, 5),
    }),
    lid: none(fc.record({ quarters: upTo(4), opening: upTo(4) })),
    total: none(
      fc.record({ rule: fc.constantFrom<'at most' | 'at least'>('at most', 'at least'), units: upTo(most * 2) }),
    ),
    products: fc.array(
      fc.record({
        cost: quarters(5),
        hours: quarters(3),
        clay: quarters(2),
        lids: upTo(2),
        batch: fc.constantFrom(null, null, 2, 3),
        opening: upTo(3),
        closing: none(upTo(3)),
        storage: quarters(1),
        keepsFor: none(upTo(2)),
        setUpCost: fc.constantFrom(0, 0, 5),
        lot: none(fc.integer({ min: 1, max: 3 })),
        channels: fc.array(
          fc.record({
            contribution: fc.integer({ min: -2, max: 12 }),
            demand: fc.array(upTo(most), { minLength: periods, maxLength: periods }),
            least: fc.array(fc.constantFrom(0, 0, 0, 1), { minLength: periods, maxLength: periods }),
            leastInAll: fc.constantFrom(0, 0, 0, 2),
            mostInAll: none(upTo(most * 2)),
          }),
          { minLength: 1, maxLength: 2 },
        ),
      }),
      { minLength: 1, maxLength: 2 },
    ),
  });

/** The best schedule by the solver, as the plan's figures work it out. */
function solvedOf(plan: Plan) {
  const { rows, planId } = inBook(plan);
  const evaluation = evaluated(rows);
  const { model, gaps } = evaluation.read(mixModel, planId);
  expect(gaps).toEqual([]);
  const answer = solveMix(highs, model);
  const slots = evaluation.read(mixSlots, planId);
  const quantities = slots.map(({ id }) =>
    plainDecimal(answer.quantities[model.products.findIndex((product) => product.id === id)] ?? 0),
  );
  const at = (of: string, rowId: string) =>
    slots.flatMap((slot, index) => (slot.of === of && slot.rowId === rowId ? [Number(quantities[index])] : []));
  const lines = evaluation.sheet.idsOf('mixProduct', 'planId', planId);
  let next = 0;
  const sold = plan.products.map(({ channels }) => channels.map(() => at('sold', lines[next++] ?? '')));
  next = 0;
  const made = plan.products.map(({ channels }) => {
    const head = lines[next] ?? '';
    next += channels.length;
    return at('made', head);
  });
  const lids = slots.flatMap(({ of }, index) => (of === 'component' ? [Number(quantities[index])] : []));
  return {
    answer,
    schedule: { made, sold, lids },
    goal: amount(evaluation, `mix/${withQuantities(planId, quantities)}/goal`),
  };
}

const near = (value: unknown, expected: number) => {
  expect(Math.abs(Number(value) - expected), `${String(value)} for ${expected}`).toBeLessThan(
    1e-6 * Math.max(1, Math.abs(expected)),
  );
};

describe('a plan of several periods', () => {
  it('comes to what a replay of its periods comes to', () => {
    const schedule = (plan: Plan) =>
      fc.record({
        made: fc.tuple(...plan.products.map(() => fc.array(quarters(8), { minLength: 3, maxLength: 3 }))),
        sold: fc.tuple(
          ...plan.products.map(({ channels }) =>
            fc.tuple(...channels.map(() => fc.array(quarters(8), { minLength: 3, maxLength: 3 }))),
          ),
        ),
        lids: fc.array(quarters(8), { minLength: 3, maxLength: 3 }),
      });
    const goals: readonly MixGoal[] = ['contribution', 'profit after set-up', 'revenue', 'units', 'least cost'];
    const drawn = plans(false, 3, 8).chain((plan) =>
      fc.tuple(fc.constant(plan), schedule(plan), fc.constantFrom(...goals)),
    );
    fc.assert(
      fc.property(drawn, ([plan, tried, goal]) => {
        const { rows, planId } = inBook({ ...plan, goal }, tried as Schedule);
        near(amount(evaluated(rows), `mix/${planId}/goal`), replayed({ ...plan, goal }, tried as Schedule).goal);
      }),
      { numRuns: 60 },
    );
  });

  it('is solved to a schedule that fits, with the goal that its figures tell', () => {
    let solved = 0;
    fc.assert(
      fc.property(fc.oneof(plans(false, 3, 12), plans(true, 3, 12)), (plan) => {
        const { answer, schedule, goal } = solvedOf(plan);
        if (answer.status !== 'best') {
          expect(answer.status).toBe('infeasible');
          return;
        }
        solved += 1;
        const replay = replayed(plan, schedule);
        expect(replay.fits).toBe(true);
        near(goal, replay.goal);
        near(answer.goal, replay.goal);
      }),
      { numRuns: 60 },
    );
    expect(solved).toBeGreaterThan(10);
  });

  it('has no better schedule, by counting them all', () => {
    fc.assert(
      fc.property(plans(true, 2, 2), (plan) => {
        const small: Plan = {
          ...plan,
          lid: null,
          products: plan.products.slice(0, 1).map((one) => ({ ...one, channels: one.channels.slice(0, 1) })),
        };
        const { answer } = solvedOf(small);
        const best = bestByCounting(small);
        if (best === null) expect(answer.status).toBe('infeasible');
        else near(answer.goal, best);
      }),
      { numRuns: 60 },
    );
  });

  it('makes components ahead, of which those in stock are sunk', () => {
    // Things take a quarter of an hour and cost 7.00; a set takes two of them. One is in stock, four can be made in the first
    // week and two in the second, in which the sets are sold: three of them, for 24.00 each, with five things made.
    let planId = '';
    const { rows } = workshop({
      more: (book, { product }) => {
        planId = book.add('mixPlan', { name: 'Sets', openDays: '10' });
        const [first, second] = ['First', 'Second'].map((name, position) =>
          book.add('mixPeriod', { planId, position, name }),
        ) as [string, string];
        const set = book.add('mixProduct', {
          ...{ planId, name: 'Set', contribution: '10', variableCost: '14', countedIn: 'whole units' },
        });
        book.add('mixPeriodProduct', { periodId: first, mixProductId: set, maximum: '0' });
        const things = book.add('mixResource', { planId, componentId: product, available: '1' });
        book.add('mixUse', { mixProductId: set, resourceId: things, perUnit: '2' });
        const gradeId = String(book.file().rows.labourGrade?.[0]?.id);
        const hours = book.add('mixResource', { planId, gradeId, available: '0' });
        book.add('mixPeriodResource', { periodId: first, resourceId: hours, available: '1' });
        book.add('mixPeriodResource', { periodId: second, resourceId: hours, available: '0.5' });
      },
    });
    const evaluation = evaluated(rows);
    const { model, gaps } = evaluation.read(mixModel, planId);
    expect(gaps).toEqual([]);
    const answer = solveMix(highs, model);
    const quantities = quantitiesOfPlan(evaluation.read(mixSlots, planId), model, answer.quantities);
    expect(answer.goal).toBeCloseTo(37, 9);
    expect(amount(evaluation, `mix/${withQuantities(planId, quantities)}/goal`)).toBe('37');
  });
});

/** The most that a plan of one product and one channel over two periods reaches, of all whole schedules. */
function bestByCounting(plan: Plan): number | null {
  const counts = Array.from({ length: 9 }, (_none, count) => count);
  const goals = counts.flatMap((first) =>
    counts.flatMap((second) =>
      counts.slice(0, 4).flatMap((one) =>
        counts.slice(0, 4).flatMap((other) => {
          const { fits, goal } = replayed(plan, { made: [[first, second]], sold: [[[one, other]]], lids: [] });
          return fits ? [goal] : [];
        }),
      ),
    ),
  );
  if (goals.length === 0) return null;
  return plan.goal === 'least cost' ? Math.min(...goals) : Math.max(...goals);
}
