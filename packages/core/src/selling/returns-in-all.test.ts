import { expect, it } from 'vitest';
import { amount, evaluated, workshop } from '../testing/evaluated.js';

// Invented, recomputed by hand: price 40, variable cost 14, postage paid 5.00, fee 6.00; 8 % come back at 5.50 each, 4.80 of the fee
// is given back, 75 % are as new and the rest is worth 2.00. One return costs 40 + 5.50 - 4.80 - 10.50 - 0.50 = 29.70.
it('returns cost in all what goes out for them less what comes back, of one return and of each unit dispatched', () => {
  const { rows, point } = workshop({
    billLine: { quantity: '2250' },
    channel: { returnsPercent: '8', returnHandling: '5.5', resaleablePercent: '75', scrapWorth: '2' },
    fees: [{ takenOf: 'unit', amount: '6', givenBackPercent: '80' }],
    pricePoint: { price: '40' },
    more(book, { channel, material }) {
      const packed = { channelId: channel, materialId: material, per: 'unit', quantity: '1.25', unit: 'kg' };
      book.add('packingLine', packed);
    },
  });
  const evaluation = evaluated(rows);
  const of = (member: string) => Number(amount(evaluation, `returnsInAll/${point}/${member}`));
  expect(amount(evaluation, `unitBehaviour/${rows.all('product')[0]?.id}/changingCost`)).toBe('14');
  expect(of('perReturn')).toBeCloseTo(29.7, 9);
  expect(of('returnCost')).toBeCloseTo(2.376, 9);
  expect(amount(evaluation, `pricePoint/${point}/contribution`)).toBe('12.624');
  // 200 dispatched are 184 kept: 12.624 x 200 / 184.
  expect(of('contributionPerKept')).toBeCloseTo((12.624 * 200) / 184, 9);
  expect(of('feesKept')).toBeCloseTo(6 - 0.08 * 4.8, 9);
  expect(of('costKept')).toBeCloseTo(14 * (1 - 0.06), 9);
});

it('the tax in a fee that is not recovered is told by itself, and nothing where all is', () => {
  const fees = [
    { takenOf: 'unit', amount: '2', taxPercent: '20' },
    { takenOf: 'unit', amount: '3', taxPercent: '0' },
  ];
  const taxOf = (settings: Record<string, unknown>) => {
    const { rows, point } = workshop({ settings, fees });
    return amount(evaluated(rows), `returnsInAll/${point}/feeTax`);
  };
  expect(Number(taxOf({}))).toBeCloseTo(0.4, 9);
  expect(taxOf({ salesTaxPercent: '20' })).toBe('no such figure');
});
