import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

interface Period {
  readonly made: string;
  readonly sold: string;
  readonly price: string;
  readonly variable: string;
  readonly fee?: string;
  readonly fixedProduction: string;
  readonly fixedOther: string;
  readonly normal: string;
}

/** One product that is made and sold in a month; overhead goes by the unit, at normal capacity. */
function period({ made, sold, price, variable, fee = '0', fixedProduction, fixedOther, normal }: Period) {
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Period', pricesIncludeTax: false });
    const office = book.add('costPool', { name: 'Office', use: 'non-production' });
    book.add('runningCost', { name: 'Works', amount: fixedProduction });
    book.add('runningCost', { name: 'Office', amount: fixedOther, poolId: office });
    book.add('costingMethod', { name: 'By the unit', basis: 'units', normalCapacity: normal, role: 'book' });
    const channelId = book.add('channel', { name: 'Shop' });
    book.add('feeRule', { channelId, name: 'Fee', takenOf: 'order', amount: fee });
    const productId = book.add('product', { name: 'Thing', costing: 'typed totals', madePerMonth: made });
    book.add('typedCost', { productId, element: 'materials', amount: variable });
    book.add('pricePoint', { productId, channelId, price, taxInside: false });
    book.add('plannedVolume', { productId, channelId, unitsPerMonth: sold });
  });
  const evaluation = evaluated(rows);
  return (member: string) => Number(amount(evaluation, `periodProfit/2026-12-01/${member}`));
}

describe('the profit of a planned month', () => {
  // Invented, recomputed by hand.
  it('is 3,500 by marginal and 4,700 by absorption costing where 200 of 1,000 go into stock', () => {
    const of = period({
      made: '1000',
      sold: '800',
      price: '25',
      variable: '10',
      normal: '1000',
      fixedProduction: '6000',
      fixedOther: '2500',
    });
    expect(['marginal', 'absorption', 'difference', 'intoStock', 'underAbsorbed'].map(of)).toEqual([
      ...[3500, 4700, 1200, 1200, 0],
    ]);
  });

  // Horngren, Datar & Rajan, Cost Accounting (Stassen Company), from memory, recomputed: 8,000 made and 6,000 sold at 1,000;
  // variable cost 200 to make and 185 to sell; fixed 1,080,000 and 1,380,000.
  it('differs by the fixed manufacturing cost of the change of stock: 2,000 x 135', () => {
    const of = period({
      made: '8000',
      sold: '6000',
      price: '1000',
      variable: '200',
      fee: '185',
      normal: '8000',
      fixedProduction: '1080000',
      fixedOther: '1380000',
    });
    expect(['marginal', 'absorption', 'difference'].map(of)).toEqual([1_230_000, 1_500_000, 270_000]);
  });

  it('is reconciled by the change of stock, whatever is made and sold', () => {
    const number = fc.integer({ min: 1, max: 900 });
    fc.assert(
      fc.property(fc.tuple(number, number, number, number, number, number, number), (numbers) => {
        const [made = '', sold = '', price = '', variable = '', fixedProduction = '', fixedOther = '', normal = ''] =
          numbers.map(String);
        const of = period({ made, sold, price, variable, fixedProduction, fixedOther, normal });
        expect(of('absorption') - of('marginal')).toBeCloseTo(of('intoStock'), 8);
      }),
      { numRuns: 30 },
    );
  });

  it('asks for a price where a product is planned in a channel without one', () => {
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Period' });
      const productId = book.add('product', { name: 'Thing' });
      const channelId = book.add('channel', { name: 'Market' });
      book.add('plannedVolume', { productId, channelId, unitsPerMonth: '3' });
    });
    expect(amount(evaluated(rows), 'periodProfit/2026-12-01/marginal')).toBe('planned-without-price');
  });
});
