import { describe, expect, it } from 'vitest';
import { comingFeesView } from '../views/selling/coming-fees-view.js';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';

/** A thing at 200, at 175 from ten units on, that costs 4.00 and an hour's quarter of nothing. */
const figures = (unitsPerOrder: string, fields: WorkshopFields = {}) => {
  const { rows, point } = workshop({
    labourGrade: { wagePerHour: '0' },
    runningCost: { amount: '0' },
    supplierPrice: { price: '80' },
    channel: { unitsPerOrder },
    pricePoint: { price: '200', taxInside: false, ...fields.pricePoint },
    more: (book, { point: pricePointId }) => {
      book.add('quantityBreak', { pricePointId, fromQuantity: '10', price: '175' });
      book.add('quantityBreak', { pricePointId, fromQuantity: '50', price: '150' });
    },
  });
  const evaluation = evaluated(rows);
  return (...keys: string[]) => keys.map((key) => amount(evaluation, key.replace('…', point)));
};

describe('prices by quantity', () => {
  it('count where the usual order of the channel reaches them: unit, month and margin', () => {
    const keys = [
      'setPrice/…/price',
      'pricePoint/…/contribution',
      'salesPerMonth/…/contributionPerMonth',
      'saleLines/…@unit/margin',
    ];
    expect(figures('24')(...keys).slice(0, 3)).toEqual(['175', '171', '17100']);
    expect(figures('9')(...keys).slice(0, 3)).toEqual(['200', '196', '19600']);
    expect(figures('10')('setPrice/…/price')).toEqual(['175']);
    expect(figures('60')('setPrice/…/price')).toEqual(['150']);
    expect(Number(figures('24')('saleLines/…@unit/margin')[0])).toBeCloseTo((171 / 175) * 100, 8);
  });

  it('leave an order that does not reach them at the list price', () => {
    const of = figures('24');
    expect(of('setPrice/…/listPrice', 'saleLines/…@order-3/listPrice')).toEqual(['200', '600']);
  });
});

it('a coupon above the price is asked about, and no price below zero', () => {
  const of = figures('1', { pricePoint: { couponAmount: '201' } });
  expect(of('setPrice/…/discounted', 'pricePoint/…/contribution')).toEqual([
    'coupon-above-price',
    'coupon-above-price',
  ]);
  expect(figures('1', { pricePoint: { couponAmount: '200' } })('setPrice/…/discounted')).toEqual(['0']);
});

describe('the units that earn the same', () => {
  const needed = (fields: WorkshopFields) => {
    const { rows, point } = workshop({ labourGrade: { wagePerHour: '0' }, runningCost: { amount: '0' }, ...fields });
    return amount(evaluated(rows), `salesPerMonth/${point}/unitsToEarnTheSame`);
  };

  it('are those of this channel, and not of all', () => {
    const elsewhere: WorkshopFields = {
      supplierPrice: { price: '200' },
      pricePoint: { discountPercent: '25' },
      plannedVolume: { unitsPerMonth: '0' },
      more: (book, { product, channel }) => {
        const channelId = book.add('channel', { name: 'Market' });
        book.add('plannedVolume', { productId: product, channelId: channel, unitsPerMonth: '30' });
        book.add('plannedVolume', { productId: product, channelId, unitsPerMonth: '500' });
        book.add('pricePoint', { productId: product, channelId, price: '18' });
      },
    };
    // 30 x 10 / 5, and not 530 x 10 / 5.
    expect(needed(elsewhere)).toBe('60');
  });

  it('are said to be none where a sale leaves nothing, before or after', () => {
    const pricePoint = { discountPercent: '50' };
    expect(needed({ supplierPrice: { price: '300' }, pricePoint })).toBe('discount-eats-all');
    expect(needed({ supplierPrice: { price: '500' }, pricePoint })).toBe('discount-eats-all');
  });
});

it('coming fees are also those for fulfilment of the channel that fulfils', () => {
  let channelId = '';
  const { rows } = workshop({
    more: (book, { product }) => {
      const fulfilledById = book.add('channel', { name: 'Warehouse' });
      channelId = book.add('channel', { name: 'Web', fulfilledById });
      book.add('pricePoint', { productId: product, channelId, price: '20' });
      const fee = { channelId: fulfilledById, takenOf: 'unit', startsOn: '2027-01-01' };
      book.add('feeRule', { ...fee, name: 'Pick and pack', purpose: 'fulfilment', amount: '2' });
      book.add('feeRule', { ...fee, position: 1, name: 'Commission', purpose: 'commission', amount: '1' });
    },
  });
  const [coming, ...others] = comingFeesView(evaluated(rows), channelId);
  expect(others).toEqual([]);
  expect(coming).toMatchObject({ day: '2027-01-01', fees: ['Pick and pack'] });
  expect(Number(coming?.rows[0]?.before) - Number(coming?.rows[0]?.after)).toBe(2);
});
