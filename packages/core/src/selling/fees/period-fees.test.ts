import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../../testing/evaluated.js';

/** A thing at 20 that costs 10 and leaves nothing for its share of rent; 100 are planned in the month. */
const figures = (fees: NonNullable<WorkshopFields['fees']>, fields: WorkshopFields = {}) => {
  const { rows, point, channel } = workshop({
    supplierPrice: { price: '200' },
    labourGrade: { wagePerHour: '0' },
    fees,
    ...fields,
    more: (book, { product, channel: channelId }) =>
      book.add('candidatePrice', { productId: product, channelId, price: '20' }),
  });
  const evaluation = evaluated(rows);
  const candidate = rows.all('candidatePrice')[0]?.id ?? '';
  const keys: Readonly<Record<string, string>> = {
    fees: `setPrice/${point}/fees`,
    contribution: `pricePoint/${point}/contribution`,
    profit: `pricePoint/${point}/profit`,
    month: `periodFees/${channel}/perMonth`,
    carried: `saleLines/${point}@unit/periodFees`,
    breakEven: `breakEvenOfBook/${candidate}/units`,
    ofShare: `breakEvenOfShare/${candidate}/exactUnits`,
    result: 'coverage/book/resultPerMonth',
    profitOfMonth: 'periodProfit/2026-11-01/marginal',
    floor: `priceLimits/${point}/profitFloor`,
    contributionFloor: `priceLimits/${point}/contributionFloor`,
  };
  return (...names: string[]) => names.map((name) => amount(evaluation, keys[name] ?? ''));
};

describe('a fee that comes with a period', () => {
  // Fixed costs 500 and 150 a month over a contribution of 10: 65 units, and not 500 / 8.50.
  it('is a fixed cost of break-even, month and profit, and in no contribution', () => {
    const of = figures([{ takenOf: 'month', amount: '150' }]);
    expect(of('fees', 'contribution', 'month', 'carried')).toEqual(['0', '10', '150', '1.5']);
    expect(of('breakEven', 'ofShare')).toEqual(['65', '65']);
    expect(of('result', 'profitOfMonth')).toEqual(['350', '350']);
    // Profit of a unit: 10 - 5 of the rent - 1.50; the price that covers all of it, and the one that covers the unit alone.
    expect(of('profit', 'floor', 'contributionFloor')).toEqual(['3.5', '16.5', '10']);
  });

  it('by the day or the listing comes as often as the planned units need', () => {
    const byDay = figures([{ takenOf: 'day', amount: '60', spreadOver: '40' }]);
    expect(byDay('contribution', 'month', 'carried', 'breakEven')).toEqual(['10', '150', '1.5', '65']);
    const byListing = figures([{ takenOf: 'listing', amount: '1', spreadOver: '4' }]);
    expect(byListing('month', 'carried')).toEqual(['25', '0.25']);
    expect(figures([{ takenOf: 'listing', amount: '1' }])('contribution', 'month', 'profit')).toEqual([
      '10',
      'no-units-to-spread-over',
      'no-units-to-spread-over',
    ]);
  });

  it('costs the tax on it that is not recovered, and only on its days', () => {
    const fee = { takenOf: 'month', amount: '100', taxPercent: '20' };
    expect(figures([fee])('month')).toEqual(['120']);
    expect(figures([fee], { settings: { salesTaxPercent: '20' }, pricePoint: { taxPercent: '0' } })('month')).toEqual([
      '100',
    ]);
    expect(figures([{ ...fee, startsOn: '2026-11-26' }])('month', 'result')).toEqual(['0', '500']);
    expect(figures([{ ...fee, endsOn: '2026-11-25' }])('month', 'result')).toEqual(['120', '380']);
  });

  it('of a channel in which nothing is planned is due only where a price is tried in it', () => {
    const unplanned = { plannedVolume: { unitsPerMonth: '0' } };
    const of = figures([{ takenOf: 'month', amount: '150' }], unplanned);
    expect(of('breakEven')).toEqual(['65']);
  });
});
