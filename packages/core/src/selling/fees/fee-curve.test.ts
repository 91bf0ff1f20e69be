import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal, Decimal, ZERO } from '../../number/index.js';
import {
  type Band,
  clampedCurve,
  curveOfPrice,
  curveOfSlices,
  curveOfWhole,
  type FeeCurve,
  feeAt,
  scaledCurve,
  sumOfCurves,
} from './fee-curve.js';
import { lowestAsked, pricesThatLeave, type Wanted } from './reached.js';

const CENT = decimal('0.01');
const d = (value: number | string) => decimal(String(value));

/** A schedule as a contract words it, and its fee at a price by plain arithmetic: what the curves are held against. */
interface Schedule {
  readonly curve: FeeCurve;
  readonly fee: (price: Decimal) => Decimal;
}

const limits = fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { maxLength: 3 });
const shares = fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 4, maxLength: 4 });
const amounts = fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 4, maxLength: 4 });
const money = (most: number) => fc.option(fc.integer({ min: 0, max: most }).map((cents) => d(cents / 100)));

const schedule: fc.Arbitrary<Schedule> = fc
  .record({
    limits,
    shares,
    amounts,
    slices: fc.boolean(),
    ends: money(400),
    over: money(400),
    times: fc.constantFrom('1', '1.2', '1.055'),
    tax: fc.constantFrom('1', '1.19'),
  })
  .map(({ limits: at, shares: percents, amounts: cents, slices, ends, over, times, tax }) => {
    const sorted = [...at].sort((one, other) => one - other);
    const bands: Band[] = [...sorted, null].map((upTo, index) => ({
      upTo: upTo === null ? null : d(upTo),
      share: d((percents[index] ?? 0) / 100),
      amount: d((cents[index] ?? 0) / 100),
    }));
    const most = ends !== null && over !== null ? ends.plus(over) : over;
    const curve = scaledCurve(
      curveOfPrice(clampedCurve(slices ? curveOfSlices(bands) : curveOfWhole(bands), ends, most), d(times)),
      d(tax),
    );
    const fee = (price: Decimal) => {
      const base = price.mul(times);
      const raw = slices ? bySlices(bands, base) : byWhole(bands, base);
      const atLeast = ends === null ? raw : Decimal.max(raw, ends);
      return (most === null ? atLeast : Decimal.min(atLeast, most)).mul(tax);
    };
    return { curve, fee };
  });

function byWhole(bands: readonly Band[], base: Decimal): Decimal {
  const band = bands.find(({ upTo }) => upTo === null || base.lte(upTo));
  return band === undefined ? ZERO : band.amount.plus(band.share.mul(base));
}

function bySlices(bands: readonly Band[], base: Decimal): Decimal {
  let [from, total] = [ZERO, ZERO];
  for (const { upTo, share, amount } of bands) {
    const top = upTo === null || base.lt(upTo) ? base : upTo;
    total = total.plus(amount).plus(top.minus(from).mul(share));
    if (upTo === null || base.lte(upTo)) break;
    from = upTo;
  }
  return total;
}

const together = (schedules: readonly Schedule[]) => ({
  curve: sumOfCurves(schedules.map(({ curve }) => curve)),
  fee: (price: Decimal) => schedules.reduce((sum, { fee }) => sum.plus(fee(price)), ZERO),
});

const wanted = fc
  .record({ margin: fc.integer({ min: -20, max: 60 }), toCover: fc.integer({ min: -500, max: 2500 }) })
  .map(({ margin, toCover }): Wanted => ({ share: d(100 - margin).div(100), toCover: d(toCover / 100) }));

describe('fees as a function of the price', () => {
  it('come to what the contract says at every price: bands, slices, minimum, maximum, tax, and all of them together', () => {
    fc.assert(
      fc.property(
        fc.array(schedule, { maxLength: 3 }),
        fc.array(fc.integer({ min: 0, max: 8000 }), { minLength: 20, maxLength: 20 }),
        (schedules, cents) => {
          const { curve, fee } = together(schedules);
          for (const each of [0, 100, 500, 1000, 2000, 4000, ...cents]) {
            const price = d(each / 100);
            expect(feeAt(curve, price)?.toNumber()).toBeCloseTo(fee(price).toNumber(), 9);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('are not known beyond the last limit of any of them', () => {
    const known = curveOfWhole([{ upTo: d(10), share: d('0.1'), amount: ZERO }]);
    const always = curveOfWhole([{ upTo: null, share: ZERO, amount: d(1) }]);
    const both = sumOfCurves([always, known]);
    expect(feeAt(both, d(10))?.toFixed()).toBe('2');
    expect(feeAt(both, d('10.01'))).toBeNull();
    expect(pricesThatLeave(both, { share: d(1), toCover: d(9) })).toEqual([]);
  });
});

describe('the lowest price that leaves what is wanted', () => {
  it('is the one that a search over all cents finds, and where it is none the search finds none', () => {
    fc.assert(
      fc.property(fc.array(schedule, { minLength: 1, maxLength: 3 }), wanted, (schedules, want) => {
        const { curve, fee } = together(schedules);
        const leaves = (price: Decimal) =>
          want.share.mul(price).minus(fee(price)).minus(want.toCover).greaterThanOrEqualTo('-1e-12');
        let cents = 0;
        while (cents <= 3000 && !leaves(d(cents / 100))) cents += 1;
        const asked = lowestAsked(pricesThatLeave(curve, want), { times: d(1), plus: ZERO }, CENT);
        if (cents <= 3000) expect(asked?.listed.toNumber()).toBeCloseTo(cents / 100, 9);
        else if (asked !== null) expect(asked.listed.toNumber()).toBeGreaterThan(30);
      }),
      { numRuns: 80 },
    );
  });

  it('says where higher prices fall short again: each range holds, and what lies between two does not', () => {
    fc.assert(
      fc.property(fc.array(schedule, { minLength: 1, maxLength: 2 }), wanted, (schedules, want) => {
        const { curve, fee } = together(schedules);
        const left = (price: Decimal) => want.share.mul(price).minus(fee(price)).minus(want.toCover).toNumber();
        const ranges = pricesThatLeave(curve, want);
        ranges.forEach(({ from, isAbove, upTo }, index) => {
          const inside = isAbove ? from.plus('1e-9') : from;
          if (upTo === null || upTo.gt(inside)) expect(left(inside)).toBeGreaterThanOrEqual(-1e-8);
          // A hair below its end: at it the last digit decides in which band a price lies.
          if (upTo !== null && upTo.minus('1e-9').gte(inside))
            expect(left(upTo.minus('1e-9'))).toBeGreaterThanOrEqual(-1e-8);
          const next = ranges[index + 1];
          if (upTo !== null && next !== undefined && next.from.minus(upTo).gt('1e-6'))
            expect(left(upTo.plus(next.from).div(2))).toBeLessThan(1e-8);
        });
      }),
      { numRuns: 150 },
    );
  });

  // By hand: 15 % up to 10.00, 8 % of the whole above. To leave 8.60: 8.60 / 0.85 = 10.1176... lies beyond the band; above
  // 10.00 it is 8.60 / 0.92 = 9.347..., which lies below it. So the first price above 10.00 will do.
  it('is the first above a limit where the fees fall there', () => {
    const curve = curveOfWhole([
      { upTo: d(10), share: d('0.15'), amount: ZERO },
      { upTo: null, share: d('0.08'), amount: ZERO },
    ]);
    const ranges = pricesThatLeave(curve, { share: d(1), toCover: d('8.60') });
    expect(ranges).toMatchObject([{ isAbove: true, upTo: null }]);
    expect(lowestAsked(ranges, { times: d(1), plus: ZERO }, CENT)?.listed.toFixed()).toBe('10.01');
    expect(lowestAsked(ranges, { times: d('1.2'), plus: ZERO }, CENT)?.listed.toFixed()).toBe('12.01');
  });
});
