import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';

/** The workshop sells 100 a month and makes so many; its stock was counted at the beginning of a month. */
const stocked = (
  product: NonNullable<WorkshopFields['product']>,
  months: readonly (readonly [number, string])[] = [],
) => {
  const volumeId = workshop({ product }).rows.all('plannedVolume')[0]?.id;
  const made = workshop({
    product,
    more: (book) => {
      for (const [month, units] of months) book.add('plannedMonth', { volumeId, month, units });
    },
  });
  const evaluation = evaluated(made.rows);
  const of = (month: string, member: string) =>
    amount(evaluation, `finishedStock/${made.product}@${month}-01/${member}`);
  return { ...made, evaluation, of };
};

describe('the finished stock of a planned month', () => {
  const COUNTED = { madePerMonth: '120', finishedStock: '50', finishedStockOn: '2026-11-01' };

  it('opens with what was counted, and each month with what the one before it closed with', () => {
    const { of } = stocked(COUNTED);
    expect([of('2026-11', 'opening'), of('2026-11', 'closing')]).toEqual(['50', '70']);
    expect([of('2026-12', 'opening'), of('2026-12', 'closing')]).toEqual(['70', '90']);
    expect(of('2028-01', 'opening')).toBe('330');
    // Before the count the plan is taken off again.
    expect([of('2026-09', 'opening'), of('2026-10', 'closing')]).toEqual(['10', '50']);
  });

  it('is valued at production cost, and goes below zero where more is sold than there is', () => {
    const { of, evaluation, product } = stocked({ ...COUNTED, madePerMonth: '50' });
    // 7.00 that changes and 500 of rent over 50 made.
    expect(amount(evaluation, `overheadOnCard/${product}/productionCost`)).toBe('17');
    expect([of('2026-11', 'openingValue'), of('2026-12', 'closing'), of('2026-12', 'closingValue')]).toEqual([
      ...['850', '-50', '-850'],
    ]);
  });

  it('asks for the month of the count, and says nothing where nothing was counted', () => {
    expect(stocked({ ...COUNTED, finishedStockOn: null }).of('2026-11', 'opening')).toBe('no-stock-day');
    const { evaluation } = stocked({ madePerMonth: '120' });
    expect(VIEWS.profit(evaluation, '2026-11-01').products[0]?.stock).toBeNull();
  });

  it('is what going through month by month says, from any count to any month', () => {
    const unit = fc.integer({ min: 0, max: 200 });
    const day = fc.tuple(
      fc.integer({ min: 2024, max: 2029 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 28 }),
    );
    const volumes = fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), unit), { maxLength: 5 });
    fc.assert(
      fc.property(unit, unit, day, day, volumes, (made, counted, on, looked, typed) => {
        const bySeason = new Map(typed);
        const two = (number: number) => String(number).padStart(2, '0');
        const { of } = stocked(
          {
            madePerMonth: String(made),
            finishedStock: String(counted),
            finishedStockOn: `${on[0]}-${two(on[1])}-${two(on[2])}`,
          },
          [...bySeason].map(([month, units]) => [month, String(units)] as const),
        );
        let stock = counted;
        const [from, to] = [on[0] * 12 + on[1] - 1, looked[0] * 12 + looked[1] - 1];
        const change = (month: number) => made - (bySeason.get((month % 12) + 1) ?? 100);
        for (let month = from; month < to; month += 1) stock += change(month);
        for (let month = from - 1; month >= to; month -= 1) stock -= change(month);
        expect(Number(of(`${looked[0]}-${two(looked[1])}`, 'opening'))).toBe(stock);
        expect(Number(of(`${looked[0]}-${two(looked[1])}`, 'closing'))).toBe(stock + change(to));
      }),
      { numRuns: 60 },
    );
  });

  it('takes off what goes into other products', () => {
    const made = workshop({
      product: { madePerMonth: '160', finishedStock: '10', finishedStockOn: '2026-11-01' },
      more: (book, { product: componentId, channel: channelId }) => {
        const productId = book.add('product', { name: 'Set', batchSize: '1' });
        book.add('billLine', { productId, componentId, quantity: '2', unit: 'each' });
        book.add('pricePoint', { productId, channelId, price: '45' });
        book.add('plannedVolume', { productId, channelId, unitsPerMonth: '20' });
      },
    });
    const evaluation = evaluated(made.rows);
    // 160 made, of which 40 go into 20 sets and 100 are sold.
    expect(amount(evaluation, `productMonth/${made.product}@2026-11-01/made`)).toBe('120');
    expect(amount(evaluation, `finishedStock/${made.product}@2026-11-01/closing`)).toBe('30');
    // The two profits are apart by what goes into stock, once.
    const of = (member: string) => Number(amount(evaluation, `periodProfit/2026-11-01/${member}`));
    expect(of('absorption') - of('marginal')).toBeCloseTo(of('intoStock'), 8);
  });
});
