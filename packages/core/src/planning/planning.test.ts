import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

/** A product of a given variable cost and price against a fixed cost a month. */
function breakEven(
  price: string,
  variableCost: string,
  fixedCost: string,
  figure: string,
  against = 'breakEvenOfBook',
): string {
  let candidate = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Example', openDaysPerMonth: '20', pricesIncludeTax: false });
    const productId = book.add('product', { name: 'Package' });
    book.add('plannedVolume', { productId, unitsPerMonth: '10' });
    book.add('otherCost', { productId, name: 'Bought in', amount: variableCost });
    book.add('runningCost', { name: 'Booth', amount: fixedCost });
    const channelId = book.add('channel', { name: 'Fair' });
    candidate = book.add('candidatePrice', { productId, channelId, price });
  });
  return amount(evaluated(rows), `${against}/${candidate}/${figure}`);
}

describe('break-even', () => {
  // Horngren, Datar & Rajan, Cost Accounting, chapter 3 (figures from memory, recomputed: 2,000 / (200 - 120) = 25).
  it('of software packages at 200, bought at 120, with a booth of 2,000: 25 packages, 5,000 of revenue', () => {
    expect(breakEven('200', '120', '2000', 'units')).toBe('25');
    expect(breakEven('200', '120', '2000', 'revenue')).toBe('5000');
    expect(breakEven('200', '120', '2000', 'unitsPerOpenDay')).toBe('1.25');
  });

  it('and with 1,200 to be earned on top of it: 40 packages', () => {
    expect(breakEven('200', '120', '3200', 'units')).toBe('40');
  });

  it('is exact and rounded up to whole units (common practice), revenue at both', () => {
    expect(breakEven('12', '5', '100', 'exactUnits').slice(0, 9)).toBe('14.285714');
    expect(breakEven('12', '5', '100', 'units')).toBe('15');
    expect(breakEven('12', '5', '100', 'revenue')).toBe('180');
    expect(Number(breakEven('12', '5', '100', 'exactRevenue'))).toBeCloseTo(1200 / 7, 10);
  });

  it('is said in words where there is none', () => {
    expect(breakEven('5', '5', '100', 'units')).toBe('never-breaks-even');
    expect(breakEven('4', '5', '100', 'units')).toBe('loses-each-sale');
    expect(breakEven('5', '5', '0', 'units')).toBe('breaks-even-at-any-volume');
    expect(breakEven('6', '5', '0', 'units')).toBe('0');
    expect(breakEven('0', '5', '100', 'units')).toBe('loses-each-sale');
  });

  it('against the share of the product is a gap where nothing is shared out to it', () => {
    expect(breakEven('12', '5', '100', 'units', 'breakEvenOfShare')).toBe('no-labour-hours');
  });

  // 2.7 kg of a pack of 3 kg at 1.00 cost exactly 0.90; 0.594 kg of one at 5.00 exactly 0.99.
  it.each([
    ['2.7', '1', '0.90'],
    ['0.594', '5', '0.99'],
  ])('takes for zero what is zero: %s kg of a pack of 3 kg at %s, sold at %s', (quantity, pack, price) => {
    let candidate = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Example', openDaysPerMonth: '20', pricesIncludeTax: false });
      const materialId = book.add('material', { name: 'Stuff', baseUnit: 'kg' });
      const supplied = { packQuantity: '3', packUnit: 'kg', currency: 'EUR', validFrom: '2026-01-01' };
      book.add('supplierPrice', { materialId, price: pack, ...supplied });
      const productId = book.add('product', { name: 'Thing' });
      book.add('billLine', { productId, materialId, quantity, unit: 'kg' });
      book.add('runningCost', { name: 'Rent', amount: '500' });
      const channelId = book.add('channel', { name: 'Shop' });
      candidate = book.add('candidatePrice', { productId, channelId, price });
    });
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `candidate/${candidate}/contribution`)).toBe('0');
    expect(amount(evaluation, `breakEvenOfBook/${candidate}/units`)).toBe('never-breaks-even');
  });

  it('says a loss smaller than the smallest coin in digits of its own', () => {
    let candidate = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Example', pricesIncludeTax: false });
      const productId = book.add('product', { name: 'Screw' });
      book.add('otherCost', { productId, name: 'Bought in', amount: '0.0123' });
      const channelId = book.add('channel', { name: 'Shop' });
      candidate = book.add('candidatePrice', { productId, channelId, price: '0.01' });
    });
    const units = evaluated(rows).figure(`breakEvenOfBook/${candidate}/units`);
    expect(units?.gaps[0]?.values.loss).toBe('0.0023 EUR');
  });
});

describe('the month at planned units', () => {
  it('counts them once, however many channels have a price', () => {
    let [first, second] = ['', ''];
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Example', pricesIncludeTax: false });
      const productId = book.add('product', { name: 'Thing' });
      book.add('plannedVolume', { productId, unitsPerMonth: '100' });
      book.add('otherCost', { productId, name: 'Bought in', amount: '10' });
      const [shop, market] = [book.add('channel', { name: 'Shop' }), book.add('channel', { name: 'Market' })];
      first = book.add('pricePoint', { productId, channelId: shop, price: '20' });
      second = book.add('pricePoint', { productId, channelId: market, price: '18' });
    });
    const evaluation = evaluated(rows);
    // 100 x (20 - 10), and not 100 x (18 - 10) beside it.
    expect(amount(evaluation, 'coverage/book/contributionPerMonth')).toBe('1000');
    expect(amount(evaluation, `salesPerMonth/${first}/contributionPerMonth`)).toBe('1000');
    expect(amount(evaluation, `salesPerMonth/${second}/contributionPerMonth`)).toBe('planned-elsewhere');
    expect(amount(evaluation, `pricePoint/${second}/contribution`)).toBe('8');
  });
});
