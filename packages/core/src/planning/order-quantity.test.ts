import { rowsByKind } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluate/index.js';
import { DAY, rowsOf } from '../testing/evaluated.js';
import { orderQuantities } from './order-quantity.js';

interface Wanted {
  readonly need: string;
  readonly costPerOrder: string;
  readonly holdingPercent: string;
  readonly price: string;
  readonly minimumOrder?: string;
  readonly breaks?: readonly (readonly [fromPacks: string, price: string])[];
  readonly more?: (book: BookBuilder, materialId: string) => void;
}

function ordered({ need, costPerOrder, holdingPercent, price, minimumOrder, breaks = [], more }: Wanted) {
  let materialId = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Any', costPerOrder, holdingPercent });
    materialId = book.add('material', { name: 'Tape', baseUnit: 'each', yearlyNeed: need });
    const pack = { packQuantity: '1', packUnit: 'each', currency: 'EUR', validFrom: '2026-01-01' };
    const priceId = book.add('supplierPrice', {
      materialId,
      price,
      ...pack,
      ...(minimumOrder ? { minimumOrder } : {}),
    });
    for (const [fromPacks, lower] of breaks) book.add('priceBreak', { priceId, fromPacks, price: lower });
    more?.(book, materialId);
  });
  return evaluate(rowsByKind(rows), DAY).read(orderQuantities, materialId);
}

const best = (wanted: Wanted) => {
  const { options, best: place, cheapest } = ordered(wanted);
  const option = options[place ?? -1];
  return [option?.packs, cheapest?.amount?.toDecimalPlaces(4).toFixed(), option?.why];
};

describe('how much to order', () => {
  // Horngren, Cost Accounting, economic order quantity: D 13,000, 200 an order, 5.20 to carry one: 1,000 (from memory of the
  // book; by hand: root of 2 x 13,000 x 200 / 5.20 = 1,000, ordering 2,600 and holding 2,600).
  it('is the economic order quantity where there is one price', () => {
    const wanted = { need: '13000', costPerOrder: '200', holdingPercent: '10', price: '52' };
    expect(best(wanted)).toEqual(['1000', '681200', 'economic order quantity']);
    const { options } = ordered(wanted);
    const chosen = options.find(({ packs }) => packs === '1000');
    expect([chosen?.ordering, chosen?.holding, chosen?.tiedUp].map((each) => each?.amount?.toFixed())).toEqual([
      '2600',
      '2600',
      '26000',
    ]);
  });

  // By hand: at 5.00 the economic quantity is root(2 x 1,000 x 10 / 1.00) = 141.4: 5,141.42 a year; from 500 at 4.80:
  // 4,800 + 2 x 10 + 250 x 0.96 = 5,060; from 2,000 at 4.75: 4,750 + 5 + 950 = 5,705.
  it('goes up to a break where that is worth it, and no further', () => {
    const wanted = { need: '1000', costPerOrder: '10', holdingPercent: '20', price: '5' } as const;
    expect(best(wanted)).toEqual(['141', '5141.4220', 'economic order quantity'].map((each) => each.replace(/0$/, '')));
    const breaks = [
      ['500', '4.80'],
      ['2000', '4.75'],
    ] as const;
    expect(best({ ...wanted, breaks })).toEqual(['500', '5060', 'least for this price']);
  });

  it('is not below the smallest order, and is compared with a full pallet where weight or volume are known', () => {
    const wanted = { need: '1000', costPerOrder: '10', holdingPercent: '20', price: '5', minimumOrder: '300' };
    expect(best(wanted)).toEqual(['300', '5183.3333', 'smallest order']);
    const { options } = ordered({
      ...wanted,
      more: (book, materialId) => {
        const each = { materialId, quantity: '1', unit: 'each' };
        book.add('itemConversion', { ...each, equalQuantity: '2.5', equalUnit: 'kg' });
      },
    });
    expect(options.map(({ packs, why }) => [packs, why])).toEqual([
      ['300', 'smallest order'],
      ['400', 'one full pallet'],
      ['11280', "one full 20' container"],
    ]);
  });

  it('asks for the need where nothing says it', () => {
    let materialId = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Any' });
      materialId = book.add('material', { name: 'Tape', baseUnit: 'each' });
    });
    const { need, options } = evaluate(rowsByKind(rows), DAY).read(orderQuantities, materialId);
    expect([need.gaps[0]?.code, options]).toEqual(['no-yearly-need', []]);
  });

  it('costs no more than any other number of packs, whatever the prices and breaks', () => {
    const breaks = fc.array(
      fc.record({ step: fc.integer({ min: 1, max: 60 }), off: fc.integer({ min: 0, max: 90 }) }),
      { maxLength: 3 },
    );
    fc.assert(
      fc.property(
        fc.record({
          need: fc.integer({ min: 1, max: 400 }),
          order: fc.integer({ min: 0, max: 60 }),
          hold: fc.integer({ min: 1, max: 50 }),
        }),
        fc.integer({ min: 100, max: 900 }),
        fc.integer({ min: 1, max: 30 }),
        breaks,
        ({ need, order, hold }, cents, least, steps) => {
          let from = least;
          let price = cents;
          const list = steps.map(({ step, off }) => {
            from += step;
            price = Math.max(20, price - off);
            return [String(from), (price / 100).toFixed(2)] as const;
          });
          const { cheapest } = ordered({
            need: String(need),
            costPerOrder: String(order),
            holdingPercent: String(hold),
            price: (cents / 100).toFixed(2),
            minimumOrder: String(least),
            breaks: list,
          });
          const priceAt = (packs: number) =>
            list.reduce((so, [start, lower]) => (packs >= Number(start) ? Number(lower) : so), cents / 100);
          const costAt = (packs: number) =>
            need * priceAt(packs) + (need / packs) * order + (packs / 2) * priceAt(packs) * (hold / 100);
          const brute = Math.min(...Array.from({ length: 6_000 }, (_none, index) => costAt(least + index)));
          expect(Number(cheapest?.amount)).toBeLessThanOrEqual(brute + 1e-6);
          expect(Number(cheapest?.amount)).toBeGreaterThanOrEqual(brute - 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });
});
