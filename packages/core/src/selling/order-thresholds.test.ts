import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';

interface Shop {
  readonly price: number;
  readonly percent: number;
  readonly ofPostage: boolean;
  readonly orderFee: number;
  readonly givenBack: number;
  readonly packedOrder: number;
  readonly packedUnit: number;
  readonly postage: number;
  readonly returns: number;
  readonly refundsPostage: boolean;
  readonly size: number;
  readonly orderDesk: number;
}

/** A shop with fees of the price and of the order, packing around each, postage charged, returns, and a cost for each order. */
const fieldsOf = (shop: Shop, postage: number): WorkshopFields => ({
  channel: {
    unitsPerOrder: String(shop.size),
    postageCharged: String(postage),
    returnsPercent: String(shop.returns),
    refundsPostage: shop.refundsPostage,
    resaleablePercent: '50',
    returnHandling: '1',
  },
  pricePoint: { price: String(shop.price), basis: 'margin', target: '10' },
  fees: [
    {
      takenOf: shop.ofPostage ? 'price and postage before tax' : 'price before tax',
      percent: String(shop.percent),
      givenBackPercent: String(shop.givenBack),
    },
    { takenOf: 'order', amount: String(shop.orderFee), givenBackPercent: String(shop.givenBack) },
  ],
  more(book, { channel, material, product }) {
    book.add('plannedVolume', { productId: product, channelId: channel, unitsPerMonth: '0' });
    for (const [per, quantity] of [
      ['order', shop.packedOrder],
      ['unit', shop.packedUnit],
    ] as const)
      book.add('packingLine', {
        channelId: channel,
        materialId: material,
        per,
        quantity: String(quantity),
        unit: 'kg',
      });
    const poolId = book.add('costPool', { name: 'Orders', use: 'non-production' });
    const cost = { name: 'Order desk', amount: String(shop.orderDesk), behaviour: 'variable', driver: 'orders' };
    book.add('runningCost', { ...cost, poolId });
  },
});

const open = (shop: Shop, postage: number) => {
  const made = workshop(fieldsOf(shop, postage));
  const evaluation = evaluated(made.rows);
  return (key: string, id = made.point) => amount(evaluation, key.replace('POINT', id));
};

const shops = fc.record<Shop>({
  price: fc.integer({ min: 5, max: 90 }),
  percent: fc.integer({ min: 0, max: 30 }),
  ofPostage: fc.boolean(),
  orderFee: fc.integer({ min: 0, max: 4 }),
  givenBack: fc.integer({ min: 0, max: 100 }),
  packedOrder: fc.integer({ min: 0, max: 3 }),
  packedUnit: fc.integer({ min: 0, max: 1 }),
  postage: fc.integer({ min: 0, max: 9 }),
  returns: fc.integer({ min: 0, max: 20 }),
  refundsPostage: fc.boolean(),
  size: fc.integer({ min: 1, max: 12 }),
  orderDesk: fc.integer({ min: 0, max: 3 }),
});

describe('the smallest order', () => {
  it('leaves nothing, and one a little larger leaves something: sent free, and with its postage charged', () => {
    fc.assert(
      fc.property(shops, (shop) => {
        for (const [postage, member] of [
          [0, 'smallestOrder'],
          [shop.postage, 'smallestCharged'],
        ] as const) {
          // What is charged for postage does not move what an order sent free has to be worth.
          const smallest = open(shop, shop.postage)(`orderThresholds/POINT/${member}`);
          const left = open(shop, postage);
          const contribution = (units: number) =>
            Number(left(`saleLines/POINT@order-${units.toFixed(9)}/contribution`));
          if (smallest === 'each-unit-loses') expect(contribution(5000)).toBeLessThanOrEqual(20);
          else if (smallest === '0') expect(contribution(0.001)).toBeGreaterThanOrEqual(-1e-6);
          else {
            const units = Number(smallest) / shop.price;
            expect(contribution(units)).toBeCloseTo(0, 4);
            expect(contribution(units * 1.5)).toBeGreaterThan(0);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('where each unit loses is none, and says so', () => {
    const dear = { price: 5, percent: 0, ofPostage: false, orderFee: 1, givenBack: 0, packedOrder: 0, packedUnit: 0 };
    const shop: Shop = { ...dear, postage: 0, returns: 0, refundsPostage: false, size: 1, orderDesk: 0 };
    expect(open(shop, 0)('orderThresholds/POINT/smallestOrder')).toBe('each-unit-loses');
    // 7.00 a unit, 8.00 for it, 2.00 an order: 16.00. With 25 % tax it would be 20.00, at a margin of 10 % more.
    const better: Shop = { ...shop, price: 8, orderFee: 2 };
    expect(open(better, 0)('orderThresholds/POINT/smallestOrder')).toBe('16');
    // The rent is 5.00 a unit: 12.00 a unit cost more than the price, at any margin.
    expect(open(better, 0)('orderThresholds/POINT/smallestForMargin')).toBe('each-unit-loses');
    // 20 - 7 - 5 is 8.00, 40 %; less the margin of 10 % it is 30 % of the price, and 3.00 an order need 10.00.
    expect(open({ ...shop, price: 20, orderFee: 3 }, 0)('orderThresholds/POINT/smallestForMargin')).toBe('10');
  });
});

describe('an order below a quantity with a better price', () => {
  it('costs more than the larger one from the unit on at which it does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 100, max: 2000 }),
        fc.integer({ min: 100, max: 2000 }),
        (quantity, listed, reduced) => {
          let id = '';
          const made = workshop({
            pricePoint: { price: String(listed / 100) },
            more(book, { point }) {
              const row = { pricePointId: point, fromQuantity: String(quantity), price: String(reduced / 100) };
              id = book.add('quantityBreak', row);
            },
          });
          const found = evaluated(made.rows).figure(`dearerOrder/${id}/dearerFrom`)?.amount?.toNumber() ?? null;
          const orders = Array.from({ length: quantity - 1 }, (_none, index) => index + 1);
          expect(found).toBe(orders.find((units) => units * listed > quantity * reduced) ?? null);
        },
      ),
      { numRuns: 100 },
    );
  });
});
