import type { BookRows } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import { describe, expect, it } from 'vitest';
import type { BookEvaluation } from '../sheet/index.js';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';

// All figures are invented, and recomputed by hand in the comments.

const bookOf = (build: (made: BookBuilder) => void): BookRows =>
  rowsOf((made) => {
    made.add('settings', { name: 'Example', openDaysPerMonth: '20', pricesIncludeTax: false });
    build(made);
  });

const totals = (evaluation: BookEvaluation, methodId: string) =>
  ['toAssign', 'assigned', 'unused', 'unassigned'].map((each) =>
    amount(evaluation, `overheadTotals/${methodId}/${each}`),
  );

const codes = (evaluation: BookEvaluation) => VIEWS.looseEnds(evaluation, '').map(({ code }) => code);

const leftOf = (evaluation: BookEvaluation, methodId: string) =>
  VIEWS.methods(evaluation, methodId).methods[0]?.left.map(({ label, cost }) => [label, cost.amount]);

describe('the monthly use of a product of which nothing is made', () => {
  // 400 over 30 + 10 inspections is 10.00; A bears 300 over 100 units; the 100 for B are borne by no unit.
  it.each(['activities', 'time-driven activities'])(
    'is named as not shared out, and blanks nothing for the others: %s',
    (type) => {
      const ids: Record<string, string> = {};
      const evaluation = evaluated(
        bookOf((made) => {
          const poolId = made.add('costPool', { name: 'Quality', practicalMinutes: '240' });
          made.add('runningCost', { name: 'Inspector', amount: '400', poolId });
          const activityId = made.add('activity', { name: 'Inspection', minutes: '6', resourcePoolId: poolId });
          made.add('poolActivity', { poolId, activityId, percent: '100' });
          for (const [name, units, uses] of [
            ['A', '100', '30'],
            ['B', '0', '10'],
          ] as const) {
            ids[name] = made.add('product', { name });
            made.add('plannedVolume', { productId: ids[name], unitsPerMonth: units });
            made.add('activityUse', { activityId, productId: ids[name], amount: uses, per: 'month' });
          }
          ids.method = made.add('costingMethod', { name: 'Method', type, role: 'book' });
        }),
      );
      expect(amount(evaluation, `productOverhead/${ids.A}/total`)).toBe('3');
      expect(amount(evaluation, `productOverhead/${ids.B}/total`)).toBe('no-planned-output');
      expect(totals(evaluation, ids.method as string)).toEqual(['400', '300', '0', '100']);
      expect(leftOf(evaluation, ids.method as string)).toEqual([['Inspection for B', '100']]);
      expect(codes(evaluation)).toContain('pool-not-shared-out');
    },
  );
});

describe('a lot without a basis', () => {
  it('is not shared out, and the totals are whole', () => {
    const ids: Record<string, string> = {};
    const evaluation = evaluated(
      bookOf((made) => {
        const productId = made.add('product', { name: 'Pot' });
        made.add('plannedVolume', { productId, unitsPerMonth: '50' });
        made.add('runningCost', { name: 'Rent', amount: '700' });
        const poolId = made.add('costPool', { name: 'Office', use: 'non-production' });
        made.add('runningCost', { name: 'Tape', amount: '0.2', behaviour: 'variable', driver: 'units', poolId });
        ids.method = made.add('costingMethod', { name: 'Machines', basis: 'machine hours' });
      }),
    );
    // No machine works an hour: the rent is shared out over nothing, the tape of 50 units is 10.00.
    expect(totals(evaluation, ids.method as string)).toEqual(['710', '10', '0', '700']);
    expect(leftOf(evaluation, ids.method as string)?.[0]).toEqual(['Production overhead', '700']);
  });

  it('lacks its basis, and is no idle capacity', () => {
    const evaluation = evaluated(bookOf((made) => void made.add('runningCost', { name: 'Rent', amount: '700' })));
    expect(codes(evaluation)).toContain('no-labour-hours');
    expect(codes(evaluation)).not.toContain('overhead-not-shared-out');
  });
});

describe('hours in no department', () => {
  const departments = (basis: string, machineIn: boolean) => {
    let pot = '';
    const rows = bookOf((made) => {
      const departmentId = made.add('department', { name: 'Firing', basis });
      const poolId = made.add('costPool', { name: 'Premises', departmentId });
      made.add('runningCost', { name: 'Rent', amount: '500', poolId });
      made.add('costingMethod', { name: 'Departments', type: 'by department', role: 'book' });
      pot = made.add('product', { name: 'Pot' });
      made.add('plannedVolume', { productId: pot, unitsPerMonth: '100' });
      const own = machineIn ? { departmentId } : {};
      const inside = made.add('equipment', { name: 'Kiln', upkeepPerHour: '1', departmentId });
      const other = made.add('equipment', { name: 'Slab roller', upkeepPerHour: '1', ...own });
      for (const equipmentId of [inside, other])
        made.add('equipmentUse', { productId: pot, equipmentId, basis: 'minutes per good unit', amount: '30' });
    });
    const total = evaluated(rows).figure(`productOverhead/${pot}/total`);
    return { amount: total?.amount?.toFixed(), gaps: total?.gaps.map(({ code }) => code) };
  };

  it('of machines are as loud as of labour, where some department absorbs by machine hours', () => {
    expect(departments('machine hours', false).gaps).toEqual(['no-department']);
    // 500 over 100 x 2 x 0.5 h in the department is 5.00 an hour, and a pot takes one hour there.
    expect(departments('machine hours', true)).toEqual({ amount: '5', gaps: [] });
    expect(departments('labour hours', false).gaps).not.toContain('no-department');
  });
});

describe('a time equation', () => {
  it('that gives less than no time counts as none, and is a loose end', () => {
    const ids: Record<string, string> = {};
    const evaluation = evaluated(
      bookOf((made) => {
        for (const name of ['Plain', 'Ready']) {
          ids[name] = made.add('product', { name });
          made.add('plannedVolume', { productId: ids[name], unitsPerMonth: '100' });
        }
        const poolId = made.add('costPool', { name: 'Packing', practicalMinutes: '1000' });
        made.add('runningCost', { name: 'Packer', amount: '500', poolId });
        const activity = { name: 'Packing', driver: 'units', minutes: '5', resourcePoolId: poolId };
        ids.activity = made.add('activity', activity);
        const less = { activityId: ids.activity, name: 'Packed already', minutes: '-8' };
        made.add('timeTerm', { ...less, condition: 'product', productId: ids.Ready });
        made.add('costingMethod', { name: 'By time', type: 'time-driven activities', role: 'book' });
      }),
    );
    expect(amount(evaluation, `productOverhead/${ids.Plain}/total`)).toBe('2.5');
    expect(amount(evaluation, `productOverhead/${ids.Ready}/total`)).toBe('0');
    expect(codes(evaluation)).toContain('time-below-zero');
  });
});

describe('what comes with each order', () => {
  // 520 by orders: 100 units singly and 100 in orders of 25 are 104 orders at 5.00. A unit sold singly bears 5.00, one of an
  // order of 25 bears 0.20; on average 2.60.
  it('goes by the order size of the channel, and all of it is borne', () => {
    const ids: Record<string, string> = {};
    const evaluation = evaluated(
      bookOf((made) => {
        ids.pot = made.add('product', { name: 'Pot', costing: 'typed totals' });
        made.add('typedCost', { productId: ids.pot, amount: '4' });
        const poolId = made.add('costPool', { name: 'Order desk', use: 'non-production' });
        made.add('runningCost', { name: 'Order desk', amount: '520', poolId });
        const activityId = made.add('activity', { name: 'Orders', driver: 'orders' });
        made.add('poolActivity', { poolId, activityId, percent: '100' });
        made.add('costingMethod', { name: 'By activity', type: 'activities', role: 'book' });
        for (const [name, size] of [
          ['Own shop', '1'],
          ['Wholesale', '25'],
        ] as const) {
          const channelId = made.add('channel', { name, unitsPerOrder: size });
          made.add('plannedVolume', { productId: ids.pot, channelId, unitsPerMonth: '100' });
          ids[name] = made.add('pricePoint', { productId: ids.pot, channelId, price: '20', taxInside: false });
        }
      }),
    );
    expect(amount(evaluation, `fullCost/${ids.pot}/overhead`)).toBe('2.6');
    expect(amount(evaluation, `pricePoint/${ids['Own shop']}/profit`)).toBe('11');
    expect(amount(evaluation, `pricePoint/${ids.Wholesale}/profit`)).toBe('15.8');
    // An order of 2 in the shop: 2 x (20.00 - 4.00) - 5.00.
    expect(amount(evaluation, `saleLines/${ids['Own shop']}@order-2/profit`)).toBe('27');
    expect(amount(evaluation, `priceLimits/${ids.Wholesale}/profitFloor`)).toBe('4.2');
  });
});

describe('absorption by what a product costs or sells for', () => {
  // Production cost before overhead 2.00 x 100 and 6.00 x 50: 250 over 500 is 0.50 a unit of it. Sales value 10.00 x 100 less
  // 10 %, and 20.00 x 30 with 40.00 x 20, on average 28.00: 900 + 1,400 = 2,300, of which 230 are a tenth.
  it.each([
    ['production cost', '250', ['1', '3']],
    ['sales value', '230', ['0.9', '2.8']],
  ] as const)('shares overhead in proportion to its %s', (basis, cost, expected) => {
    const ids: Record<string, string> = {};
    const evaluation = evaluated(
      bookOf((made) => {
        made.add('runningCost', { name: 'Rent', amount: cost });
        made.add('costingMethod', { name: 'Rate', basis, role: 'book' });
        const [shop, fair] = ['Shop', 'Fair'].map((name) => made.add('channel', { name }));
        for (const [name, each, price, discountPercent] of [
          ['Cup', '2', '10', '10'],
          ['Jug', '6', '20', '0'],
        ] as const) {
          ids[name] = made.add('product', { name, costing: 'typed totals' });
          made.add('typedCost', { productId: ids[name], amount: each });
          const at = { productId: ids[name], channelId: shop };
          made.add('pricePoint', { ...at, price, discountPercent, taxInside: false });
          made.add('plannedVolume', { ...at, unitsPerMonth: name === 'Cup' ? '100' : '30' });
        }
        const atFair = { productId: ids.Jug, channelId: fair };
        made.add('pricePoint', { ...atFair, price: '40', taxInside: false });
        made.add('plannedVolume', { ...atFair, unitsPerMonth: '20' });
      }),
    );
    expect(['Cup', 'Jug'].map((name) => amount(evaluation, `fullCost/${ids[name]}/overhead`))).toEqual(expected);
  });
});

describe('a joint batch', () => {
  // 100 to split; A nets 150, B sells for 20 and costs 50 further: A bears all of it, B none.
  it('has no output bear less than nothing, and says which sells for less than it costs further', () => {
    const ids: Record<string, string> = {};
    const evaluation = evaluated(
      bookOf((made) => {
        const processId = made.add('jointProcess', { name: 'Batch', jointCost: '100', method: 'net realisable value' });
        const output = (name: string, finalPrice: string, furtherCost: string, more = {}) =>
          made.add('jointOutput', { processId, name, quantity: '10', unit: 'kg', finalPrice, furtherCost, ...more });
        ids.A = output('A', '20', '5');
        ids.B = output('B', '2', '5');
        ids.by = output('Trimmings', '12', '0', { isByProduct: true, position: 2 });
        ids.process = processId;
      }),
    );
    expect(amount(evaluation, `jointShare/${ids.B}/share`)).toBe('0');
    expect(codes(evaluation)).toEqual(
      expect.arrayContaining(['joint-value-below-zero', 'by-products-above-joint-cost']),
    );
  });
});
