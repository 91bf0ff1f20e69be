import type { EndingDirection, PriceEnding } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { minorDigits, priceEnding } from '../money/index.js';
import { decimal } from '../number/index.js';
import { amount, evaluated, workshop } from '../testing/evaluated.js';
import { priceLimits } from './price-limits.js';
import { pricePoint } from './price-point.js';
import { priceRatios } from './price-ratios.js';
import { salesPerMonth } from './sales-per-month.js';
import { setPrice } from './set-price.js';
import fc from 'fast-check';

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
    const channel = { unitsPerOrder: '2' };
    const fees = [{ percent: '5' }, { takenOf: 'order', amount: '0.80' }];
    const pricePoint = { price: '24', taxInside: true, taxPercent: '20' };
    const settings = { salesTaxPercent: '5' };
    expect(figures({ settings, channel, fees, pricePoint }, ...names)).toEqual(['20', '24', '1.6', '11.4', '6.4']);
    const beforeTax = [{ ...fees[0], takenOf: 'price before tax' }, ...fees.slice(1)];
    expect(figures({ settings, channel, fees: beforeTax, pricePoint }, 'fees')).toEqual(['1.4']);
    expect(figures({ settings, pricePoint: { price: '20', taxPercent: '20' } }, 'beforeTax', 'paid')).toEqual([
      '20',
      '24',
    ]);
    // A book without a sales tax is not registered: it charges none, as it recovers none.
    expect(figures({ pricePoint: { price: '20', taxPercent: '20' } }, 'beforeTax', 'paid')).toEqual(['20', '20']);
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
          const fees = [
            { percent: String(fee / 4), takenOf: ofPaid ? 'price paid' : 'price before tax' },
            { takenOf: 'order', amount: String(fixed / 100) },
          ];
          const pricePoint = { basis, target: String(target), taxInside, taxPercent: String(tax) };
          const [suggested = ''] = figures({ fees, pricePoint }, 'suggested');
          const reached = (price: string) => Number(figures({ fees, pricePoint: { ...pricePoint, price } }, basis)[0]);
          expect(reached(suggested)).toBeGreaterThanOrEqual(target - 1e-9);
          expect(reached(decimal(suggested).minus('0.01').toFixed())).toBeLessThan(target);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says in words where no price reaches it, and which limit it comes near', () => {
    const { rows, point } = workshop({
      fees: [{ percent: '15', takenOf: 'price before tax' }],
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
    const fees = [
      { percent: '10', takenOf: 'price before tax' },
      { takenOf: 'unit', amount: '0.20' },
    ];
    // (7.00 + 0.20) / 0.9 = 8.00 and (12.00 + 0.20) / 0.9 = 13.555...
    expect(figures({ fees }, 'contributionFloor', 'profitFloor')).toEqual(['8', '13.56']);
  });
});

describe('floors and suggestions at a standing discount', () => {
  const discounted = { discountPercent: '20' };

  it('are list prices: after the discount the target is reached', () => {
    // Cost 12.00 in full and 7.00 by itself: 12.00 / 80 % = 15.00 and 7.00 / 80 % = 8.75. Half of the price for profit: 24 / 80 %.
    const pricePoint = { ...discounted, basis: 'margin', target: '50' };
    const names = ['profitFloor', 'profitFloorDiscounted', 'contributionFloor', 'suggested', 'suggestedDiscounted'];
    expect(figures({ pricePoint }, ...names)).toEqual(['15', '12', '8.75', '30', '24']);
    expect(figures({ pricePoint: { ...pricePoint, price: '15' } }, 'profit')).toEqual(['0']);
    expect(figures({ pricePoint: { ...pricePoint, price: '30' } }, 'margin')).toEqual(['50']);
  });

  it('have their ending on the list price, and both prices are shown', () => {
    const pricePoint = { ...discounted, basis: 'margin', target: '50', ending: '.99' };
    expect(figures({ pricePoint }, 'exactPrice', 'suggested', 'suggestedDiscounted')).toEqual([
      '30',
      '30.99',
      '24.792',
    ]);
  });

  it('do not exist where nothing is left of any price', () => {
    const pricePoint = { discountPercent: '100', basis: 'margin', target: '50' };
    expect(figures({ pricePoint }, 'suggested', 'profitFloor')).toEqual([
      'discount-leaves-nothing',
      'discount-leaves-nothing',
    ]);
  });
});

describe('a target that is out of reach, or no target at all', () => {
  it('names the margin that the fee leaves, below zero too', () => {
    const { rows, point } = workshop({
      settings: { salesTaxPercent: '20' },
      fees: [{ percent: '90' }],
      pricePoint: { basis: 'margin', target: '10', taxInside: true },
    });
    const limits = evaluated(rows).read(priceLimits, point);
    expect(limits.suggested.gaps[0]).toMatchObject({ code: 'target-out-of-reach', values: { limit: '−8' } });
    // A floor names no margin: the fee takes more of a higher price than the price brings.
    for (const figure of [limits.profitFloor, limits.contributionFloor])
      expect(figure.gaps[0]).toMatchObject({ code: 'amount-out-of-reach' });
  });

  it('suggests no price of nothing or less', () => {
    expect(figures({ pricePoint: { basis: 'profit', target: '-12' } }, 'suggested')).toEqual([
      'any-price-reaches-target',
    ]);
    expect(figures({ pricePoint: { basis: 'markup', target: '-150' } }, 'suggested')).toEqual([
      'any-price-reaches-target',
    ]);
    expect(figures({ pricePoint: { basis: 'profit', target: '-11.99' } }, 'suggested')).toEqual(['0.01']);
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
    // From the exact price, and not from one that was rounded up to cents before.
    ['8.481', '.99', 'nearest', '7.99'],
    ['3.971', 'nearest 0.05', 'nearest', '3.95'],
    ['0.01', 'nearest 0.05', 'down', '0.05'],
    ['-3.20', '.99', 'down', '0.99'],
  ])('%s to %s, %s, is %s', (price, ending, direction, expected) => {
    expect(priceEnding(decimal(price), ending, direction, decimal('0.01')).toFixed()).toBe(expected);
  });

  it.each<[string, PriceEnding, string]>([
    ['JPY', '.99', '1235'],
    ['JPY', '.00', '1235'],
    ['JPY', 'nearest 0.05', '1235'],
    ['EUR', '.99', '1234.99'],
    ['KWD', '.90', '1234.9'],
  ])(
    'in %s, a price of 1234.4 to %s is suggested as %s: what the currency lacks counts as none',
    (currency, ending, price) => {
      const fields = {
        settings: { currency },
        supplierPrice: { currency },
        pricePoint: { basis: 'profit', target: '1222.4', ending },
      };
      expect(figures(fields, 'suggested')).toEqual([price]);
    },
  );

  it('minor units are those of ISO 4217', () => {
    expect(['JPY', 'EUR', 'KWD'].map(minorDigits)).toEqual([0, 2, 3]);
  });
});
