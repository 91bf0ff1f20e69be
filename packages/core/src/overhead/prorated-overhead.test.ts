import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop } from '../testing/evaluated.js';

/** A month with a budget of so much over so many hours. */
function month(fields: Record<string, string>) {
  let id = '';
  const { rows } = workshop({
    more: (book) => {
      id = book.add('overheadActual', { month: '2026-10-01', budgetAmount: '1000', budgetQuantity: '100', ...fields });
    },
  });
  const evaluation = evaluated(rows);
  return (member: string) => amount(evaluation, `proratedOverhead/${id}/${member}`);
}
const MEMBERS = ['toCostOfSalesWhole', 'shared', 'toProgress', 'toStock', 'toCostOfSales'];

describe('over- and under-absorbed overhead, prorated', () => {
  // Invented, recomputed by hand: 10.00 an hour; 1,000 absorbed, of which 200 lie in work in progress and 300 in stock.
  const LYING = { basisQuantity: '100', absorbedInProgress: '200', absorbedInStock: '300' };

  it('shares what was spent above the budget by the overhead in each', () => {
    expect(MEMBERS.map(month({ ...LYING, amount: '1150' }))).toEqual(['0', '150', '30', '45', '75']);
    expect(MEMBERS.map(month({ ...LYING, amount: '900' }))).toEqual(['0', '-100', '-20', '-30', '-50']);
  });

  it('puts nothing of low production into stock (IAS 2.13), and takes high production off it', () => {
    // 80 h absorb 800: 200 are left by the volume, and 100 were spent above the budget.
    const low = month({ ...LYING, basisQuantity: '80', amount: '1100' });
    expect(MEMBERS.map(low)).toEqual(['200', '100', '25', '37.5', '237.5']);
    // 125 h absorb 1,250 of 1,000 spent.
    const high = month({ ...LYING, basisQuantity: '125', amount: '1000' });
    expect(MEMBERS.map(high)).toEqual(['0', '-250', '-40', '-60', '-150']);
  });

  it('goes to cost of sales where nothing is said to lie in stock, or nothing was absorbed', () => {
    expect(MEMBERS.map(month({ basisQuantity: '100', amount: '1150' })).slice(2)).toEqual(['0', '0', '150']);
    expect(MEMBERS.map(month({ basisQuantity: '0', amount: '400' })).slice(2)).toEqual(['0', '0', '400']);
  });

  it('refuses more in stock than was absorbed', () => {
    const much = month({ ...LYING, absorbedInStock: '801', amount: '1150' });
    expect(much('toCostOfSales')).toBe('more-in-stock-than-absorbed');
    expect(month({ ...LYING, absorbedInStock: '800', amount: '1150' })('toCostOfSales')).toBe('0');
  });

  it('leaves nothing over, and never adds to stock more than spending did', () => {
    const number = (max: number) => fc.integer({ min: 0, max });
    fc.assert(
      fc.property(number(2000), number(200), number(100), number(100), (amountSpent, worked, inProgress, inStock) => {
        const absorbed = worked * 10;
        const part = (percent: number, left: number) => Math.floor((left * percent) / 100);
        const first = part(inProgress, absorbed);
        const second = part(inStock, absorbed - first);
        const of = month({
          amount: String(amountSpent),
          basisQuantity: String(worked),
          absorbedInProgress: String(first),
          absorbedInStock: String(second),
        });
        const [toProgress = 0, toStock = 0, toSales = 0] = ['toProgress', 'toStock', 'toCostOfSales'].map((member) =>
          Number(of(member)),
        );
        expect(toProgress + toStock + toSales).toBeCloseTo(amountSpent - absorbed, 8);
        const bySpending = amountSpent - 1000;
        const wanted = absorbed === 0 ? 0 : (Math.min(0, 1000 - absorbed) + bySpending) * (first / absorbed);
        expect(toProgress).toBeCloseTo(wanted, 8);
      }),
      { numRuns: 60 },
    );
  });
});
