import type { RowOf } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { amount, DAY, evaluated, rowsOf } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';
import { conversionConflicts } from './conversion-conflicts.js';

/** Eggs by the tray of 30 for 9.00; an egg weighs 58 g; a cake takes 290 g of egg and two eggs more. */
function bakery(conversions: readonly (readonly [string, string, string | null, string])[]) {
  const ids = { egg: '', cake: '' };
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Bakery' });
    ids.egg = book.add('material', { name: 'Egg', baseUnit: 'each' });
    book.add('supplierPrice', {
      materialId: ids.egg,
      packQuantity: '30',
      packUnit: 'each',
      price: '9',
      currency: 'EUR',
      validFrom: '2026-01-01',
    });
    ids.cake = book.add('product', { name: 'Cake' });
    book.add('billLine', { productId: ids.cake, materialId: ids.egg, quantity: '290', unit: 'g' });
    book.add('billLine', { productId: ids.cake, position: 1, materialId: ids.egg, quantity: '2', unit: 'each' });
    for (const [quantity, unit, equalQuantity, equalUnit] of conversions) {
      book.add('itemConversion', { materialId: ids.egg, quantity, unit, equalQuantity, equalUnit });
    }
  });
  return { ...ids, evaluation: evaluated(rows), own: rows.all('itemConversion') as readonly RowOf<'itemConversion'>[] };
}

describe('conversions of an item of its own', () => {
  it('serve in recipes and in the prices by other units', () => {
    const { evaluation, cake, egg } = bakery([['1', 'each', '58', 'g']]);
    // 290 g / 58 g = 5 eggs and 2 more at 0.30 = 2.10; a kilo is 1000 / 58 eggs.
    expect(amount(evaluation, `product/${cake}/materials`)).toBe('2.1');
    expect(Number(VIEWS.material(evaluation, egg).perOtherUnit.kg?.amount)).toBeCloseTo((1000 / 58) * 0.3, 12);
    expect(VIEWS.material(evaluation, egg).perOtherUnit.kg?.unit).toBe('EUR per kg');
  });

  it('without one the gap names both units and the place to state it', () => {
    const { evaluation, cake, egg } = bakery([]);
    const gap = evaluation.figure(`product/${cake}/materials`)?.gaps[0];
    expect(gap).toMatchObject({
      code: 'no-conversion',
      place: { kind: 'material', id: egg, field: 'conversions' },
      values: { from: 'g', to: 'piece' },
    });
    const asked = bakery([['1', 'each', null, 'g']]);
    expect(asked.evaluation.figure(`product/${asked.cake}/materials`)?.gaps[0]?.code).toBe('no-conversion-amount');
  });

  it('lead through several steps, and say where two ways disagree by more than 0.1 %', () => {
    // A dozen weighs 0.7 kg and a litre 1.03 kg, so an egg takes 0.7 / 12 / 1.03 l = 56.63 ml.
    const agreeing = bakery([
      ['1', 'dozen', '0.7', 'kg'],
      ['1', 'l', '1.03', 'kg'],
      ['1', 'each', '56.63', 'ml'],
    ]);
    expect(conversionConflicts(agreeing.own)).toEqual([]);
    const differing = bakery([
      ['1', 'dozen', '0.7', 'kg'],
      ['1', 'l', '1.03', 'kg'],
      ['1', 'each', '60', 'ml'],
    ]);
    const found = conversionConflicts(differing.own);
    expect(found.map(({ stated, otherwise }) => [stated.toFixed(), otherwise.toFixed(2)])).toEqual([['60', '56.63']]);
    const ends = VIEWS.looseEnds(differing.evaluation, 'book').map(({ sentence }) => sentence);
    expect(ends).toContain('One piece of Egg is stated as 60 ml, but its other conversions make it 56.63 ml');
  });
});

/** Strawberries by the kilo: 4.00 from June 2025, 9.00 from December 2025, 5.00 from June 2026. */
function berries(material: Record<string, unknown>, settings: Record<string, unknown> = {}, asOf = DAY): string {
  let id = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Jam', ...settings });
    id = book.add('material', { name: 'Strawberry', baseUnit: 'kg', ...material });
    for (const [validFrom, price] of [
      ['2025-06-01', '4'],
      ['2025-12-01', '9'],
      ['2026-06-01', '5'],
    ] as const) {
      book.add('supplierPrice', {
        materialId: id,
        packQuantity: '1',
        packUnit: 'kg',
        price,
        currency: 'EUR',
        validFrom,
      });
    }
  });
  return amount(evaluated(rows, asOf), `materialPrice/${id}/perBaseUnit`);
}

describe('the planning price', () => {
  // Common practice, no source: goods with a seasonal price are costed at their high.
  it.each([
    ['latest', null, '5'],
    ['highest', 12, '9'],
    ['highest', 3, '5'],
    ['average', 12, '6'],
    ['average', 6, '7'],
  ])('at the %s of %s months is %s', (planningBasis, planningMonths, expected) => {
    expect(berries({ planningBasis, planningMonths })).toBe(expected);
  });

  it('counts the price in force when the months begin, and follows the day that is asked for', () => {
    // Twelve months before 2026-11-25 the price of June 2025 was still in force: (4 + 9 + 5) / 3.
    expect(berries({ planningBasis: 'average' }, { planningMonths: 12 })).toBe('6');
    expect(berries({ planningBasis: 'average', planningMonths: 11 })).toBe('7');
    expect(berries({}, {}, '2026-01-15')).toBe('9');
    expect(berries({}, {}, '2025-01-15')).toBe('no-price');
  });

  it('is that of the book where the material says nothing, and carries a buffer', () => {
    expect(berries({}, { planningBasis: 'highest', bufferPercent: '10' })).toBe('9.9');
    expect(
      berries({ bufferPercent: '0', planningBasis: 'latest' }, { planningBasis: 'highest', bufferPercent: '10' }),
    ).toBe('5');
  });
});
