import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

interface Plan {
  readonly sold: number;
  readonly batchSize: number;
  readonly yieldPercent: number;
  readonly minutes: number;
  readonly setUp: number;
  /** Of the component in one unit. */
  readonly inside: number;
  readonly componentBatch: number;
}

/** A box that is sold, a lid that goes into it, and clay in the lid: so many a box, 2 kg a lid. */
function needs(plan: Plan, wholeBatches: boolean) {
  const ids: Record<string, string> = {};
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Example', wholeBatches });
    const clay = book.add('material', { name: 'Clay', baseUnit: 'kg' });
    const gradeId = book.add('labourGrade', { name: 'Maker', wagePerHour: '10' });
    const { batchSize, yieldPercent, inside, componentBatch, minutes, setUp, sold } = plan;
    ids.lid = book.add('product', { name: 'Lid', batchSize: String(componentBatch) });
    book.add('billLine', {
      productId: ids.lid,
      materialId: clay,
      quantity: '2',
      unit: 'kg',
      basis: 'started unit',
    });
    ids.box = book.add('product', {
      name: 'Box',
      batchSize: String(batchSize),
      yieldPercent: String(yieldPercent),
    });
    const line = { productId: ids.box, componentId: ids.lid, unit: 'each', basis: 'started unit' };
    book.add('billLine', { ...line, quantity: String(inside) });
    for (const [productId, timeBasis, time] of [
      [ids.box, 'minutes per batch', setUp],
      [ids.box, 'minutes per good unit', minutes],
      [ids.lid, 'minutes per batch', setUp],
    ] as const)
      book.add('labourStep', { productId, name: 'Work', gradeId, timeBasis, time: String(time) });
    book.add('plannedVolume', { productId: ids.box, unitsPerMonth: String(sold) });
    ids.clay = clay;
  });
  const evaluation = evaluated(rows);
  return {
    hours: Number(amount(evaluation, 'workNeeded/labour hours/perMonth')),
    clay: Number(amount(evaluation, `plannedMaterial/${ids.clay}/perMonth`)),
    unitCost: amount(evaluation, `product/${ids.box}/labour`),
    shared: Number(amount(evaluation, 'driverVolume/labour hours/planned')),
  };
}

const plans = fc.record<Plan>({
  sold: fc.integer({ min: 0, max: 300 }),
  batchSize: fc.integer({ min: 1, max: 40 }),
  yieldPercent: fc.integer({ min: 50, max: 100 }),
  minutes: fc.integer({ min: 0, max: 60 }),
  setUp: fc.integer({ min: 0, max: 240 }),
  inside: fc.integer({ min: 1, max: 4 }),
  componentBatch: fc.integer({ min: 1, max: 60 }),
});

describe('a plan in whole batches', () => {
  it('needs the hours and materials of every batch that is begun, and leaves unit costs as they are', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const whole = needs(plan, true);
        const good = (plan.batchSize * plan.yieldPercent) / 100;
        const boxes = Math.ceil(Number((plan.sold / good).toFixed(9)));
        const lids = Math.ceil(Number(((boxes * plan.batchSize * plan.inside) / plan.componentBatch).toFixed(9)));
        expect(whole.clay).toBeCloseTo(lids * plan.componentBatch * 2, 6);
        const minutes = boxes * plan.setUp + boxes * good * plan.minutes + lids * plan.setUp;
        expect(whole.hours).toBeCloseTo(minutes / 60, 6);
        const fractions = needs(plan, false);
        expect(whole.unitCost).toBe(fractions.unitCost);
        expect(whole.shared).toBe(fractions.shared);
        expect(fractions.hours).toBe(fractions.shared);
        expect(whole.hours).toBeGreaterThanOrEqual(fractions.hours - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('is the plan itself where batches come out even', () => {
    const even = { sold: 90, batchSize: 20, yieldPercent: 90, minutes: 6, setUp: 30, inside: 1, componentBatch: 10 };
    expect(needs(even, true)).toEqual(needs(even, false));
  });
});
