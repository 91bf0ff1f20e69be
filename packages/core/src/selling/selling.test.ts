import type { EndingDirection, PriceEnding } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minorDigits, priceEnding } from '../money/index.js';
import { decimal } from '../number/index.js';
import { amount, evaluated, workshop } from '../testing/evaluated.js';
import { priceLimits } from './price-limits.js';
import { pricePoint } from './price-point.js';
import { priceRatios } from './price-ratios.js';
import { salesPerMonth } from './sales-per-month.js';
import { setPrice } from './set-price.js';

/** The workshop's product costs 7.00 by itself and 12.00 in full. */
const figures = (fields: Parameters<typeof workshop>[0], ...names: string[]) => {
  const { rows, point } = workshop(fields);
  const evaluation = evaluated(rows);
  return names.map((name) => amount(evaluation, `${calculationOf(name)}/${point}/${name}`));
};
const OF_A_PRICE = [setPrice, pricePoint, priceRatios, priceLimits, salesPerMonth];
const calculationOf = (figure: string) => OF_A_PRICE.find(({ meanings }) => figure in meanings)?.name ?? '';

describe('what is left of a sale', () => {
  // Common practice, no source: the table of margin and markup that every trade uses.
  it.each([
    ['15', '25', '20'],
    ['16', '33.33', '25'],
    ['18', '50', '33.33'],
    ['24', '100', '50'],
    ['48', '300', '75'],
  ])('at a price of %s the markup is %s %% and the margin %s %%', (price, markup, margin) => {
    const found = figures({ pricePoint: { price } }, 'markup', 'margin').map((each) => Number(each).toFixed(2));
    expect(found).toEqual([Number(markup).toFixed(2), Number(margin).toFixed(2)]);
  });

  // By hand: 24.00 with 20 % tax inside is 20.00; fee 5 % of 24.00 = 1.20, and 0.80 an order of two = 0.40.
  it('takes the tax out unrounded, and fees of what the customer pays', () => {
    const names = ['beforeTax', 'paid', 'fees', 'contribution', 'profit'];
    const channel = { feePercent: '5', feePerOrder: '0.80', unitsPerOrder: '2' };
    const pricePoint = { price: '24', taxInside: true, taxPercent: '20' };
    expect(figures({ channel, pricePoint }, ...names)).toEqual(['20', '24', '1.6', '11.4', '6.4']);
    expect(figures({ channel: { ...channel, feeBasis: 'price before tax' }, pricePoint }, 'fees')).toEqual(['1.4']);
    expect(figures({ pricePoint: { price: '20', taxPercent: '20' } }, 'beforeTax', 'paid')).toEqual(['20', '24']);
  });

  it('says how many more must be sold at a discount to earn the same, rounded up', () => {
    // Contribution 13.00 falls to 9.00: 100 x 13 / 9 = 144.4...
    expect(
      figures({ pricePoint: { discountPercent: '20' } }, 'discounted', 'contribution', 'unitsToEarnTheSame'),
    ).toEqual(['16', '9', '145']);
    expect(figures({ pricePoint: { discountPercent: '65' } }, 'unitsToEarnTheSame')).toEqual(['discount-eats-all']);
  });
});

describe('the price for a target', () => {
  it('is the lowest in whole cents that reaches it, whatever fees and tax', () => {
    const percent = fc.integer({ min: 0, max: 40 });
    fc.assert(
      fc.property(
        fc.constantFrom('margin', 'markup', 'profit'),
        fc.integer({ min: -5, max: 45 }),
        percent,
        fc.integer({ min: 0, max: 300 }),
        percent,
        fc.boolean(),
        fc.boolean(),
        (basis, target, fee, fixed, tax, taxInside, ofPaid) => {
          const channel = {
            feePercent: String(fee / 4),
            feePerOrder: String(fixed / 100),
            feeBasis: ofPaid ? 'price paid' : 'price before tax',
          };
          const pricePoint = { basis, target: String(target), taxInside, taxPercent: String(tax) };
          const [suggested = ''] = figures({ channel, pricePoint }, 'suggested');
          const reached = (price: string) =>
            Number(figures({ channel, pricePoint: { ...pricePoint, price } }, basis)[0]);
          expect(reached(suggested)).toBeGreaterThanOrEqual(target - 1e-9);
          expect(reached(decimal(suggested).minus('0.01').toFixed())).toBeLessThan(target);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says in words where no price reaches it, and which limit it comes near', () => {
    const { rows, point } = workshop({
      channel: { feePercent: '15', feeBasis: 'price before tax' },
      pricePoint: { basis: 'margin', target: '85' },
    });
    const suggested = evaluated(rows).figure(`priceLimits/${point}/suggested`);
    expect([suggested?.amount, suggested?.gaps[0]?.code, suggested?.gaps[0]?.values.limit]).toEqual([
      null,
      'target-out-of-reach',
      '85',
    ]);
  });

  it('has two floors: contribution zero and profit zero', () => {
    const channel = { feePercent: '10', feePerOrder: '0.20', feeBasis: 'price before tax' };
    // (7.00 + 0.20) / 0.9 = 8.00 and (12.00 + 0.20) / 0.9 = 13.555...
    expect(figures({ channel }, 'contributionFloor', 'profitFloor')).toEqual(['8', '13.56']);
  });
});

describe('price endings', () => {
  it.each<[string, PriceEnding, EndingDirection, string]>([
    ['18.20', '.99', 'up', '18.99'],
    ['18.20', '.99', 'down', '17.99'],
    ['18.60', '.99', 'nearest', '18.99'],
    ['18.99', '.99', 'up', '18.99'],
    ['0.40', '.99', 'down', '0.99'],
    ['18.49', '.50', 'nearest', '18.5'],
    ['18.50', '.00', 'nearest', '19'],
    ['18.32', 'nearest 0.05', 'up', '18.35'],
    ['18.32', 'nearest 0.05', 'nearest', '18.3'],
    ['18.32', 'none', 'up', '18.32'],
  ])('%s to %s, %s, is %s', (price, ending, direction, expected) => {
    expect(priceEnding(decimal(price), ending, direction).toFixed()).toBe(expected);
  });

  it('minor units are those of ISO 4217', () => {
    expect(['JPY', 'EUR', 'KWD'].map(minorDigits)).toEqual([0, 2, 3]);
  });
});
