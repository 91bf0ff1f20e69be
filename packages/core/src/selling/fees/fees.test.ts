import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal, decimal } from '../../number/index.js';
import { amount, evaluated, workshop, type WorkshopFields } from '../../testing/evaluated.js';

/** The workshop's product costs 7.00 by itself and 12.00 in full; a price of 20.00 before tax. */
const feesOf = (fees: WorkshopFields['fees'], fields: WorkshopFields = {}): string => {
  const { rows, point } = workshop({ ...fields, ...(fees === undefined ? {} : { fees }) });
  return amount(evaluated(rows), `setPrice/${point}/fees`);
};

// Each by hand, at a price of 20.00 before tax.
describe('a fee', () => {
  it.each<[string, NonNullable<WorkshopFields['fees']>, string]>([
    ['of the price before tax', [{ takenOf: 'price before tax', percent: '15' }], '3'],
    ['of the price paid, at 25 % tax', [{ percent: '10' }], '2.5'],
    ['a percentage and an amount on top', [{ takenOf: 'price before tax', percent: '10', amount: '0.35' }], '2.35'],
    ['at least so much', [{ takenOf: 'price before tax', percent: '1', minimum: '0.50' }], '0.5'],
    ['at most so much', [{ takenOf: 'price before tax', percent: '50', maximum: '4' }], '4'],
    ['for each unit', [{ takenOf: 'unit', amount: '0.40' }], '0.4'],
    ['for each order, of 1.6 units', [{ takenOf: 'order', amount: '0.80' }], '0.5'],
    [
      'with a tax of 20 % on it of which nothing is recovered',
      [{ takenOf: 'unit', amount: '1', taxPercent: '20' }],
      '1.2',
    ],
    [
      'of several together',
      [
        { takenOf: 'price before tax', percent: '15' },
        { takenOf: 'unit', amount: '0.4' },
      ],
      '3.4',
    ],
    ['of another category', [{ takenOf: 'unit', amount: '1', category: 'prints' }], '0'],
    ['of its category, as names are compared', [{ takenOf: 'unit', amount: '1', category: ' WARE' }], '1'],
    ['that begins later', [{ takenOf: 'unit', amount: '1', startsOn: '2026-11-26' }], '0'],
    ['that ended before', [{ takenOf: 'unit', amount: '1', endsOn: '2026-11-24' }], '0'],
    ['on its last day', [{ takenOf: 'unit', amount: '1', endsOn: '2026-11-25' }], '1'],
    [
      'by the band that is reached, limits included',
      [{ takenOf: 'price before tax', bands: [{ upTo: '20', percent: '15' }, { percent: '8' }] }],
      '3',
    ],
    [
      'of each slice: 15 % of 10.00 and 8 % of the other 10.00',
      [
        {
          takenOf: 'price before tax',
          bandRule: 'slice by slice',
          bands: [{ upTo: '10', percent: '15' }, { percent: '8' }],
        },
      ],
      '2.3',
    ],
    [
      'whose bands end below the price',
      [{ takenOf: 'price before tax', bands: [{ upTo: '19.99', percent: '5' }] }],
      'beyond-last-band',
    ],
  ])('%s', (_what, fees, expected) => {
    const fields: WorkshopFields = {
      channel: { unitsPerOrder: '1.6' },
      product: { category: 'ware' },
      pricePoint: { taxPercent: '25' },
      taxRegistration: { validFrom: '2026-01-01', recoveredPercent: '0' },
    };
    expect(feesOf(fees, fields)).toBe(expected);
  });
});

const percent = fc.integer({ min: 0, max: 120 }).map((quarters) => String(quarters / 4));
const cents = (most: number) => fc.integer({ min: 0, max: most }).map((each) => String(each / 100));
const band = fc.record({ percent, amount: fc.option(cents(150)) });

/** A fee as its row and its bands would be typed. */
const feeRow = fc
  .record({
    takenOf: fc.constantFrom('price before tax', 'price paid'),
    percent,
    limits: fc.uniqueArray(fc.integer({ min: 2, max: 60 }), { maxLength: 2 }),
    bands: fc.array(band, { minLength: 3, maxLength: 3 }),
    bandRule: fc.constantFrom('whole price', 'slice by slice'),
    least: fc.option(fc.integer({ min: 0, max: 200 })),
    over: fc.option(fc.integer({ min: 0, max: 300 })),
    taxPercent: fc.option(fc.constantFrom('19', '20')),
  })
  .map(({ limits, bands, least, over, ...row }) => {
    const sorted = [...limits].sort((one, other) => one - other).map(String);
    return {
      ...row,
      minimum: least === null ? null : String(least / 100),
      maximum: over === null ? null : String(((least ?? 0) + over) / 100),
      bands: sorted.length === 0 ? [] : [...sorted, null].map((upTo, index) => ({ upTo, ...bands[index] })),
    };
  });

describe('the price for a target under any fees', () => {
  it('reaches it when it is put back, and no lower price in whole cents does', () => {
    fc.assert(
      fc.property(
        fc.array(feeRow, { minLength: 1, maxLength: 2 }),
        fc.constantFrom('margin', 'markup', 'profit'),
        fc.integer({ min: -20, max: 40 }),
        fc.constantFrom('0', '20'),
        fc.boolean(),
        fc.constantFrom('0', '10'),
        (fees, basis, target, taxPercent, taxInside, discountPercent) => {
          const pricePoint = { basis, target: String(target), taxPercent, taxInside, discountPercent };
          const { rows, point } = workshop({ fees, pricePoint });
          const evaluation = evaluated(rows);
          const suggested = evaluation.figure(`priceLimits/${point}/suggested`)?.amount ?? null;
          const before = rows.row('pricePoint', point) as NonNullable<ReturnType<typeof rows.row<'pricePoint'>>>;
          const ratios = { margin: 'priceRatios', markup: 'priceRatios', profit: 'pricePoint' } as const;
          // One evaluation for all prices: what is tried is an override.
          const reached = (price: Decimal) => {
            const fork = evaluation.fork([
              { kind: 'pricePoint', id: before.id, field: 'price', how: 'set', value: price.toFixed() },
            ]);
            return Number(fork.figure(`${ratios[basis as 'margin']}/${point}/${basis}`)?.amount ?? NaN);
          };
          if (suggested === null) return;
          expect(reached(suggested)).toBeGreaterThanOrEqual(target - 1e-9);
          for (const less of ['0.01', '0.02', '0.5', '1', '2.5', '5', '10', '20'])
            if (suggested.gt(less)) expect(reached(suggested.minus(less)), `${less} less`).toBeLessThan(target);
          const share = decimal('0.37');
          if (suggested.gt(1)) expect(reached(suggested.mul(share).toDecimalPlaces(2))).toBeLessThan(target);
        },
      ),
      { numRuns: 80 },
    );
  });

  // By hand: to leave 12.00 and a profit of 1.00 of a fee of 15 % up to 15.00 and of 5 % of the whole above: 13 / 0.85 = 15.29
  // lies above the band, 13 / 0.95 = 13.68 below it. So the first price above 15.00 will do, and its profit is 2.26.
  it('is the first above a band where the fees fall there', () => {
    const fees = [{ takenOf: 'price before tax', bands: [{ upTo: '15', percent: '15' }, { percent: '5' }] }];
    const { rows, point } = workshop({ fees, pricePoint: { basis: 'profit', target: '1' } });
    expect(amount(evaluated(rows), `priceLimits/${point}/suggested`)).toBe('15.01');
  });
});
