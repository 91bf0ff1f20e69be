import type { MixGoal } from '@nuvar/book';
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

/** A channel of a product: what is asked for at most in each period, and what a unit leaves there. */
interface Channel {
  readonly contribution: number;
  readonly demand: readonly number[];
}

interface Product {
  readonly cost: number;
  readonly hours: number;
  readonly clay: number;
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
  readonly hours: { readonly available: number; readonly extra: number; readonly extraPrice: number };
  readonly clay: { readonly arrivals: readonly number[]; readonly extra: number; readonly extraPrice: number };
  readonly products: readonly Product[];
}

/** What is made of each product and sold in each of its channels, by period. */
interface Schedule {
  readonly made: readonly (readonly number[])[];
  readonly sold: readonly (readonly (readonly number[])[])[];
}

/** The plan in a book: ids of its rows, its figures. */
function inBook(plan: Plan, schedule: Schedule | null = null) {
  let planId = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Studio', openDaysPerMonth: '20' });
    planId = book.add('mixPlan', { name: 'Weeks', goal: plan.goal, interestPercent: String(plan.interest) });
    const periods = plan.days.map((days, position) =>
      book.add('mixPeriod', { planId, position, name: `Week ${position + 1}`, openDays: String(days) }),
    );
    const channels = ['Stall', 'Shop'].map((name) => book.add('channel', { name }));
    const hours = book.add('mixResource', { planId, name: 'Hours', position: 0, ...textOf(plan.hours) });
    const { extra, extraPrice } = plan.clay;
    const clay = book.add('mixResource', {
      ...{ planId, name: 'Clay', unit: 'kg', position: 1, isKept: true, available: '0' },
      ...textOf({ extra, extraPrice }),
    });
    periods.forEach((periodId, at) =>
      book.add('mixPeriodResource', { periodId, resourceId: clay, available: String(plan.clay.arrivals[at]) }),
    );
    let position = 0;
    plan.products.forEach((product, at) => {
      const productId = book.add('product', { name: `Product ${at + 1}` });
      product.channels.forEach(({ contribution, demand }, channel) => {
        const stock =
          channel > 0
            ? {}
            : {
                openingStock: String(product.opening),
                closingStock: product.closing === null ? null : String(product.closing),
                storageCost: String(product.storage),
                keepsFor: product.keepsFor,
                setUpCost: String(product.setUpCost),
                lot: product.lot === null ? null : String(product.lot),
              };
        const id = book.add('mixProduct', {
          ...{ planId, productId, position: (position += 1), channelId: channels[channel] },
          ...{
            contribution: String(contribution),
            variableCost: String(product.cost),
            revenue: String(contribution + product.cost + 2),
          },
          ...{ countedIn: plan.isWhole ? 'whole units' : 'any amount', ...stock },
        });
        book.add('mixUse', { mixProductId: id, resourceId: hours, perUnit: String(product.hours) });
        book.add('mixUse', { mixProductId: id, resourceId: clay, perUnit: String(product.clay) });
        periods.forEach((periodId, period) =>
          book.add('mixPeriodProduct', {
            ...{ periodId, mixProductId: id, maximum: String(demand[period]) },
            made: String(channel === 0 ? (schedule?.made[at]?.[period] ?? 0) : 0),
            sold: String(schedule?.sold[at]?.[channel]?.[period] ?? 0),
          }),
        );
      });
    });
  });
  return { rows, planId };
}

const textOf = (numbers: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(numbers).map(([name, value]) => [name, String(value)]));

/** The solver's quantities have ten digits. */
const NOISE = 1e-6;

/** The plan replayed period by period with plain numbers: what it reaches, and whether everything fits. */
function replayed(plan: Plan, { made, sold }: Schedule) {
  const { products, days, hours, clay, interest } = plan;
  let [value, making, setUps, extraCost, holding, revenue, units] = [0, 0, 0, 0, 0, 0, 0];
  let [fits, clayLeft, clayExtra] = [true, 0, clay.extra];
  const stock = products.map(({ opening }) => opening);
  // By product: what of its stock was made when, the oldest first.
  const layers = products.map(({ opening }) => [{ period: -1, units: opening }]);
  const allDays = days.reduce((so, each) => so + each, 0);
  days.forEach((ofPeriod, period) => {
    let [hoursUsed, clayUsed] = [0, 0];
    products.forEach((product, at) => {
      const units0 = made[at]?.[period] ?? 0;
      hoursUsed += units0 * product.hours;
      clayUsed += units0 * product.clay;
      making += units0 * product.cost;
      if (units0 > 0) setUps += product.setUpCost;
      if (product.lot !== null && units0 > 0 && units0 < product.lot - NOISE) fits = false;
      layers[at]?.push({ period, units: units0 });
      let out = 0;
      product.channels.forEach((channel, index) => {
        const quantity = sold[at]?.[index]?.[period] ?? 0;
        if (quantity > (channel.demand[period] ?? 0) + NOISE) fits = false;
        value += quantity * (channel.contribution + product.cost);
        revenue += quantity * (channel.contribution + product.cost + 2);
        units += quantity;
        out += quantity;
      });
      stock[at] = (stock[at] ?? 0) + units0 - out;
      for (const layer of layers[at] ?? []) {
        const taken = Math.min(layer.units, out);
        layer.units -= taken;
        out -= taken;
      }
      const { keepsFor } = product;
      const isOld = (of: number) => keepsFor !== null && Math.max(0, of + keepsFor) <= period;
      if (layers[at]?.some((layer) => layer.units > NOISE && isOld(layer.period)) === true) fits = false;
      const left = stock[at] ?? 0;
      if (left < -NOISE) fits = false;
      holding += Math.max(0, left) * (product.storage + (((interest / 100) * product.cost) / 12) * (ofPeriod / 20));
      const closing = product.closing ?? product.opening;
      if (period === days.length - 1 && left < closing - NOISE) fits = false;
    });
    const part = ofPeriod / allDays;
    const over = Math.max(0, hoursUsed - hours.available * part);
    extraCost += Math.min(over, hours.extra * part) * hours.extraPrice;
    if (over > hours.extra * part + NOISE) fits = false;
    clayLeft += (clay.arrivals[period] ?? 0) - clayUsed;
    const bought = Math.min(clayExtra, Math.max(0, -clayLeft));
    extraCost += bought * clay.extraPrice;
    clayExtra -= bought;
    clayLeft = clayLeft + bought;
    if (clayLeft < -NOISE) fits = false;
    clayLeft = Math.max(0, clayLeft);
  });
  const contribution = value - making;
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
  fc.record({
    goal: fc.constantFrom<MixGoal>('contribution', 'profit after set-up', 'profit after set-up'),
    days: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: periods, maxLength: periods }),
    interest: fc.constantFrom(0, 0, 12, 120),
    isWhole: fc.constant(isWhole),
    hours: fc.record({ available: upTo(most * 3), extra: upTo(6), extraPrice: upTo(9) }),
    clay: fc.record({
      arrivals: fc.array(upTo(most * 2), { minLength: periods, maxLength: periods }),
      extra: upTo(6),
      extraPrice: upTo(9),
    }),
    products: fc.array(
      fc.record({
        cost: quarters(5),
        hours: quarters(3),
        clay: quarters(2),
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
  return {
    answer,
    schedule: { made, sold },
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
    fc.assert(
      fc.property(fc.oneof(plans(false, 3, 12), plans(true, 3, 12)), (plan) => {
        const { answer, schedule, goal } = solvedOf(plan);
        if (answer.status !== 'best') {
          expect(answer.status).toBe('infeasible');
          return;
        }
        const replay = replayed(plan, schedule);
        expect(replay.fits).toBe(true);
        near(goal, replay.goal);
        near(answer.goal, replay.goal);
      }),
      { numRuns: 60 },
    );
  });

  it('has no better schedule, by counting them all', () => {
    fc.assert(
      fc.property(plans(true, 2, 2), (plan) => {
        const small = {
          ...plan,
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
          const { fits, goal } = replayed(plan, { made: [[first, second]], sold: [[[one, other]]] });
          return fits ? [goal] : [];
        }),
      ),
    ),
  );
  return goals.length === 0 ? null : Math.max(...goals);
}
