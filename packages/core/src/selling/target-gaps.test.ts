import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gapSentence } from '../figure/index.js';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';
import { priceLimits, targetAnswers } from './index.js';

/** What is said of a target, and the ranges beside it. A unit of the workshop costs 7.00, and 12.00 in full. */
function saidOf(fields: WorkshopFields) {
  const { rows, point } = workshop(fields);
  const evaluation = evaluated(rows);
  const { suggested, exactPrice, profitFloor } = evaluation.read(priceLimits, point);
  return {
    code: suggested.gaps[0]?.code ?? null,
    sentence: suggested.gaps[0] === undefined ? null : gapSentence(suggested.gaps[0]),
    suggested: suggested.amount?.toNumber() ?? null,
    exact: exactPrice.amount?.toNumber() ?? null,
    profitFloor: profitFloor.amount?.toNumber() ?? null,
    ranges: (targetAnswers(evaluation.sheet, point)?.ranges ?? []).map(({ from, upTo }) => [
      from.toNumber(),
      upTo?.toNumber() ?? null,
    ]),
  };
}

const fee = (percent: string) => [{ percent, takenOf: 'price before tax' }];

describe('the exact prices of a target', () => {
  // Fee 6 % up to 30.00 and 14 % above; 12.00 in full, and a profit of 16.00: 28.00 / 94 % and 28.00 / 86 %.
  it('are told for every stretch of the fees on which it is reached', () => {
    const bands = [
      { upTo: '30', percent: '6' },
      { upTo: null, percent: '14' },
    ];
    const { rows, point } = workshop({
      fees: [{ takenOf: 'price before tax', bands }],
      pricePoint: { basis: 'profit', target: '16' },
    });
    const evaluation = evaluated(rows);
    const exact = (place: number) => Number(amount(evaluation, `exactPriceOnStretch/${point}@${place}/exact`));
    expect([exact(0), exact(1)]).toEqual([28 / 0.94, 28 / 0.86].map((each) => expect.closeTo(each, 9)));
    expect(targetAnswers(evaluation.sheet, point)?.ranges.map(({ from }) => from.toFixed())).toEqual([
      '29.79',
      '32.56',
    ]);
  });
});

describe('what is said where no price is suggested', () => {
  it('names the margin that was asked for, in the numbers of the book', () => {
    const german = { settings: { locale: 'de-DE' }, fees: fee('12.5') };
    expect(saidOf({ ...german, pricePoint: { basis: 'margin of the price', target: '88' } }).sentence).toBe(
      'no price reaches this target: the margin of the price approaches 87,5 % but never reaches it',
    );
    expect(saidOf({ fees: fee('100'), pricePoint: { basis: 'profit', target: '3' } }).sentence).toBe(
      'no price reaches this: fees and returns take all that a higher price brings',
    );
  });

  // Postage of 15.00 pays for the 12.00 that a unit costs, and 3.00 more: at a margin of 90 % of the price, with 15 % taken, a
  // price of 60.00 leaves 60.00 - 9.00 + 3.00 = 54.00, and any dearer one less of it.
  it('agrees with the ranges where the postage charged is above the cost', () => {
    const above = { channel: { postageCharged: '15' }, fees: fee('15') };
    const up = saidOf({ ...above, pricePoint: { basis: 'margin of the price', target: '90' } });
    expect([up.code, up.ranges, up.sentence]).toEqual([
      'any-price-up-to',
      [[0, 60]],
      'any price up to 60 reaches this target, so none is suggested',
    ]);
    const all = saidOf({ ...above, pricePoint: { basis: 'margin of the price', target: '85' } });
    expect([all.code, all.ranges]).toEqual(['any-price-reaches-target', [[0, null]]]);
    expect(all.profitFloor).toBe(0);
  });

  it('says so where the margin is the same at any price, since nothing has to be covered', () => {
    const nothing = { channel: { postageCharged: '12' }, fees: fee('15') };
    const said = saidOf({ ...nothing, pricePoint: { basis: 'margin of the price', target: '90' } });
    expect([said.code, said.ranges]).toEqual(['margin-is-always', []]);
  });

  const sales = fc.record({
    percent: fc.integer({ min: 0, max: 120 }),
    amount: fc.integer({ min: 0, max: 6 }),
    upTo: fc.integer({ min: 1, max: 60 }),
    beyond: fc.integer({ min: 0, max: 120 }),
    postage: fc.integer({ min: 0, max: 20 }),
    basis: fc.constantFrom('margin', 'margin of the price', 'profit', 'markup'),
    target: fc.integer({ min: -20, max: 100 }),
  });

  it('never says more or less than the ranges beside it', () => {
    fc.assert(
      fc.property(sales, ({ percent, amount, upTo, beyond, postage, basis, target }) => {
        const bands = [
          { upTo: String(upTo), percent: String(percent), amount: String(amount) },
          { upTo: null, percent: String(beyond) },
        ];
        const { code, suggested, exact, ranges } = saidOf({
          channel: { postageCharged: String(postage) },
          fees: [{ takenOf: 'price before tax', bands }],
          pricePoint: { basis, target: String(target) },
        });
        const [first] = ranges;
        if (first === undefined) expect([code === null, suggested]).toEqual([false, null]);
        else if (first[0] === 0) expect(code).toBe(first[1] === null ? 'any-price-reaches-target' : 'any-price-up-to');
        else {
          expect(suggested).toBe(first[0]);
          expect(exact).toBeGreaterThan((first[0] as number) - 0.0100001);
          expect(exact).toBeLessThanOrEqual((first[0] as number) + 1e-9);
        }
      }),
      { numRuns: 300 },
    );
  });

  /** The margin of the price that a search over prices finds best, by the working of a price that is set. */
  const marginAt = (fields: WorkshopFields, price: number) => {
    const { rows, point } = workshop({ ...fields, pricePoint: { price: String(price) } });
    const evaluation = evaluated(rows);
    const of = (key: string) => Number(amount(evaluation, key));
    return (of(`pricePoint/${point}/profit`) * 100) / of(`setPrice/${point}/netRevenue`);
  };

  it('names the best margin where none reaches the target, which a search over prices does not beat', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 41, max: 99 }),
        fc.integer({ min: 15, max: 60 }),
        (percent, beyond, upTo) => {
          const fields = {
            fees: [
              {
                takenOf: 'price before tax',
                bands: [
                  { upTo: String(upTo), percent: String(percent) },
                  { upTo: null, percent: String(beyond) },
                ],
              },
            ],
          };
          const { rows, point } = workshop({ ...fields, pricePoint: { basis: 'margin', target: '99' } });
          const best = targetAnswers(evaluated(rows).sheet, point)?.best ?? null;
          const found = [upTo / 2, upTo - 1, upTo, upTo + 1, upTo * 2, 1e3, 1e6].map((price) =>
            marginAt(fields, price),
          );
          if (best === null) expect(Math.max(...found)).toBeCloseTo(found.at(-1) ?? 0, 9);
          else {
            expect(best.result.toNumber()).toBeGreaterThan(Math.max(...found) - 1e-6);
            expect(marginAt(fields, best.price.toNumber())).toBeCloseTo(best.result.toNumber(), 6);
          }
          // 12.00 in full: above the limit of the first band the margin only rises towards what the fees leave.
          expect(best === null).toBe((100 - percent) * upTo - 1200 < (100 - beyond) * upTo);
        },
      ),
      // At 60.00 it is the very margin that the last stretch comes near to.
      { numRuns: 60, examples: [[39, 59, 60]] },
    );
  });
});
