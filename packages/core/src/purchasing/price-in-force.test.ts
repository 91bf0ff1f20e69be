import { describe, expect, it } from 'vitest';
import { amount, DAY, evaluated, rowsOf } from '../testing/evaluated.js';
import { priceInForce } from './price-in-force.js';

type Price = readonly [supplier: 'Abbey' | 'Brook' | null, validFrom: string, price: string];

/** A material with prices in the order in which they were entered. */
function planned(prices: readonly Price[], material: Record<string, unknown> = {}, preferred?: 'Abbey' | 'Brook') {
  let id = '';
  const priceIds: string[] = [];
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Jam' });
    const suppliers = {
      Abbey: book.add('supplier', { name: 'Abbey' }),
      Brook: book.add('supplier', { name: 'Brook' }),
    };
    const preferredSupplierId = preferred === undefined ? null : suppliers[preferred];
    id = book.add('material', { name: 'Sugar', baseUnit: 'kg', preferredSupplierId, ...material });
    for (const [supplier, validFrom, price] of prices) {
      const supplierId = supplier === null ? null : suppliers[supplier];
      const pack = { packQuantity: '1', packUnit: 'kg', currency: 'EUR' };
      priceIds.push(book.add('supplierPrice', { materialId: id, supplierId, validFrom, price, ...pack }));
    }
  });
  const evaluation = evaluated(rows, DAY);
  const inForce = evaluation.read(priceInForce, id).priceId;
  return {
    price: amount(evaluation, `materialPrice/${id}/perBaseUnit`),
    note: evaluation.figure(`materialPrice/${id}/perBaseUnit`)?.note,
    inForce: inForce === null ? null : priceIds.indexOf(inForce),
  };
}

describe('the price in force on a day', () => {
  it('is the newest that has begun, and not one that begins later', () => {
    expect(
      planned([
        ['Abbey', '2026-01-01', '4'],
        ['Abbey', '2027-01-01', '9'],
      ]),
    ).toMatchObject({ price: '4', inForce: 0 });
    expect(planned([['Abbey', '2027-01-01', '9']])).toMatchObject({ price: 'no-price', inForce: null });
  });

  it('of two prices of one supplier from one day is the later entered; of two suppliers the cheaper', () => {
    expect(
      planned([
        [null, '2026-10-01', '18.50'],
        [null, '2026-10-01', '18.75'],
      ]),
    ).toMatchObject({ price: '18.75', inForce: 1 });
    expect(
      planned([
        ['Abbey', '2026-10-01', '7'],
        ['Brook', '2026-10-01', '5'],
        ['Brook', '2026-10-01', '6'],
      ]),
    ).toMatchObject({ price: '6', inForce: 2 });
  });

  it('is that of the preferred supplier where there is any, and the working says so', () => {
    const prices: Price[] = [
      ['Abbey', '2026-02-01', '7'],
      ['Brook', '2026-10-01', '5'],
    ];
    expect(planned(prices, {}, 'Abbey')).toMatchObject({
      price: '7',
      inForce: 0,
      note: 'the newest price, from Abbey, 01/02/2026',
    });
    expect(planned(prices.slice(1), {}, 'Abbey')).toMatchObject({ price: '5', inForce: 0 });
  });
});

describe('the highest price of a period', () => {
  it('counts what each supplier asked when it began', () => {
    // Abbey asks 10 since 2024, Brook 8 since 2025: both were in force a year ago.
    expect(
      planned(
        [
          ['Abbey', '2024-01-01', '10'],
          ['Brook', '2025-01-01', '8'],
        ],
        { planningBasis: 'highest' },
      ).price,
    ).toBe('10');
  });

  it('looks at the prices of the preferred supplier only, average too', () => {
    const prices: Price[] = [
      ['Abbey', '2026-01-01', '10'],
      ['Brook', '2026-01-01', '8'],
      ['Brook', '2026-06-01', '9'],
    ];
    const highest = planned(prices, { planningBasis: 'highest' }, 'Brook');
    expect(highest).toMatchObject({
      price: '9',
      note: 'the highest of 2 prices of Brook in the 12 months to 25/11/2026',
    });
    expect(planned(prices, { planningBasis: 'average' }, 'Brook').price).toBe('8.5');
  });

  it('of two prices from one day is the dearer', () => {
    expect(
      planned(
        [
          ['Abbey', '2026-06-01', '5'],
          ['Brook', '2026-06-01', '6'],
        ],
        { planningBasis: 'highest' },
      ).price,
    ).toBe('6');
  });
});
