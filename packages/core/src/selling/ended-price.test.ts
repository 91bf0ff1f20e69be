import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';
import { listedPriceForTarget } from './without-working.js';

/** A thing that costs so many euros, is sold before tax, and has a target. */
const priced = (cost: string, fees: NonNullable<WorkshopFields['fees']>, point: Record<string, unknown>) => {
  const { rows, point: id } = workshop({
    supplierPrice: { price: cost, packQuantity: '500', packUnit: 'g' },
    labourStep: { time: '0' },
    runningCost: { amount: '0' },
    fees,
    pricePoint: { price: '20', taxInside: false, ...point },
  });
  const evaluation = evaluated(rows);
  return {
    exact: amount(evaluation, `priceLimits/${id}/exactPrice`),
    suggested: amount(evaluation, `priceLimits/${id}/suggested`),
    plain: (ending: string, direction: string) =>
      listedPriceForTarget(evaluation.sheet, id, { ending, direction } as never)?.toFixed() ?? null,
  };
};

describe('a price with an ending', () => {
  // By hand: below 6.67 the fee is its least, so (1.90 + 1.00 + 0.45) / 70 %.
  it('is exact on the stretch of the fees on which it lies', () => {
    const fees = [
      { takenOf: 'price before tax', percent: '15', minimum: '1' },
      { takenOf: 'order', amount: '0.45' },
    ];
    const found = priced('1.90', fees, { basis: 'margin', target: '30', ending: '.50', endingDirection: 'up' });
    expect(Number(found.exact)).toBeCloseTo(4.785714, 6);
    expect(found.suggested).toBe('5.5');
  });

  // 8 % up to 10.00 and 15 % above, of the whole; cost 6.50: 2.50 is left from 9.79 to 10.00, and again from 10.59 on.
  const jump = [
    { takenOf: 'price before tax', bandRule: 'whole price', bands: [{ upTo: '10', percent: '8' }, { percent: '15' }] },
  ];
  it.each([
    ['.99', 'up', '9.99'],
    ['.50', 'up', '11.5'],
    ['.00', 'up', '10'],
    ['.50', 'down', '11.5'],
    ['.99', 'nearest', '9.99'],
    ['nearest 0.05', 'down', '9.8'],
  ])('%s, %s, reaches its target: %s', (ending, endingDirection, expected) => {
    const found = priced('6.50', jump, { basis: 'profit', target: '2.50', ending, endingDirection });
    expect(found.suggested).toBe(expected);
  });

  it('that none of the prices that reach the target has is said to be none', () => {
    const fees = [
      {
        takenOf: 'price before tax',
        bandRule: 'whole price',
        bands: [{ upTo: '10', percent: '0' }, { percent: '90' }],
      },
    ];
    const found = priced('6.50', fees, { basis: 'profit', target: '3.20', ending: '.50', endingDirection: 'up' });
    expect([found.exact, found.suggested]).toEqual(['9.7', '97.5']);
    const cut = [{ takenOf: 'price before tax', bands: [{ upTo: '9.80', percent: '0' }] }];
    expect(priced('6.50', cut, { basis: 'profit', target: '3.20', ending: '.50' }).suggested).toBe(
      'no-ending-reaches-target',
    );
  });

  it('is no number while part of the cost is missing', () => {
    const { rows, point } = workshop({
      labourGrade: { wagePerHour: null },
      pricePoint: { basis: 'margin', target: '30' },
    });
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `priceLimits/${point}/exactPrice`)).toBe('no-wage');
    expect(amount(evaluation, `priceLimits/${point}/suggested`)).toBe('no-wage');
  });
});

const cents = (min: number, max: number) => fc.integer({ min, max }).map((each) => (each / 100).toFixed(2));
const orNone = <Value>(of: fc.Arbitrary<Value>) => fc.option(of, { nil: undefined });
const bands = fc
  .uniqueArray(fc.integer({ min: 200, max: 3000 }), { minLength: 1, maxLength: 2 })
  .chain((limits) =>
    fc.tuple(
      fc.constant([...limits].sort((a, b) => a - b)),
      fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 3, maxLength: 3 }),
    ),
  )
  .map(([limits, percents]) => [
    ...limits.map((limit, index) => ({ upTo: (limit / 100).toFixed(2), percent: String(percents[index]) })),
    { percent: String(percents[2]) },
  ]);
interface AnyFee {
  takenOf: string;
  percent?: string;
  amount?: string;
  minimum?: string;
  maximum?: string;
  bandRule?: string;
  bands?: { upTo?: string; percent: string }[];
}
const anyFee: fc.Arbitrary<AnyFee> = fc.oneof(
  fc
    .record({
      percent: fc.integer({ min: 0, max: 25 }).map(String),
      amount: orNone(cents(0, 90)),
      minimum: orNone(cents(10, 300)),
      above: orNone(cents(0, 400)),
    })
    .map(({ above, minimum, amount: fixed, percent }) => ({
      takenOf: 'price before tax',
      percent,
      ...(fixed !== undefined && { amount: fixed }),
      ...(minimum !== undefined && { minimum }),
      ...(above !== undefined && { maximum: (Number(minimum ?? 0) + Number(above) + 0.5).toFixed(2) }),
    })),
  fc.record({
    takenOf: fc.constant('price before tax'),
    bandRule: fc.constantFrom('whole price', 'slice by slice'),
    bands,
  }),
  fc.record({ takenOf: fc.constant('unit'), amount: cents(0, 150) }),
);

/** A fee at a price in cents, worked out as its contract reads; in ten thousandths of a cent, so that it is a whole number. */
function feeOf({ percent, amount: fixed, minimum, maximum, bandRule, bands: steps }: AnyFee, price: number): number {
  const scale = (text: string | undefined) => Math.round(Number(text ?? 0) * 1_000_000);
  if (steps !== undefined) {
    const limits = steps.map(({ upTo }) =>
      upTo === undefined ? Number.POSITIVE_INFINITY : Math.round(Number(upTo) * 100),
    );
    if (bandRule === 'whole price')
      return price * 100 * Number(steps[limits.findIndex((limit) => price <= limit)]?.percent ?? 0);
    return steps.reduce((total, step, index) => {
      const from = index === 0 ? 0 : (limits[index - 1] as number);
      return total + Math.max(0, Math.min(price, limits[index] as number) - from) * 100 * Number(step.percent);
    }, 0);
  }
  const plain = price * 100 * Number(percent ?? 0) + scale(fixed);
  const raised = minimum === undefined ? plain : Math.max(plain, scale(minimum));
  return maximum === undefined ? raised : Math.min(raised, scale(maximum));
}

it('is the first of its ending that reaches the target, by a search over every cent, whatever the fees', () => {
  const target = fc.oneof(
    fc.record({ basis: fc.constant('margin'), target: fc.integer({ min: 1, max: 60 }).map(String) }),
    fc.record({ basis: fc.constant('profit'), target: cents(1, 800) }),
  );
  const endings = fc.constantFrom<readonly [string, number, number]>(
    ['.99', 100, 99],
    ['.50', 100, 50],
    ['.00', 100, 0],
    ['nearest 0.05', 5, 0],
  );
  fc.assert(
    fc.property(
      fc.array(anyFee, { minLength: 1, maxLength: 3 }),
      cents(20, 1500),
      target,
      endings,
      (fees, cost, wanted, [ending, step, offset]) => {
        const found = priced(cost, fees as never, { ...wanted, ending, endingDirection: 'up' });
        const reaches = (price: number) => {
          const left =
            price * 10_000 -
            fees.reduce((total, fee) => total + feeOf(fee, price), 0) -
            Math.round(Number(cost) * 1_000_000);
          return wanted.basis === 'margin'
            ? left >= price * 100 * Number(wanted.target)
            : left >= Math.round(Number(wanted.target) * 1_000_000);
        };
        const LIMIT = 20_000;
        let searched: number | null = null;
        for (let price = 1; price <= LIMIT && searched === null; price += 1)
          if (price % step === offset && price >= (offset === 0 ? step : offset) && reaches(price)) searched = price;
        const suggested = Number(found.suggested);
        if (searched !== null) expect(found.suggested).toBe(String(searched / 100));
        else expect(Number.isNaN(suggested) || suggested * 100 > LIMIT).toBe(true);
        if (searched !== null) expect(found.plain(ending, 'up')).toBe(found.suggested);
      },
    ),
    { numRuns: 400 },
  );
}, 300_000);
