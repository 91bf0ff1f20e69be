import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

interface Order {
  readonly units: number;
  readonly tray: number;
  readonly trayYield: number;
  readonly cups: number;
  readonly cupBatch: number;
  readonly cupYield: number;
  readonly clay: number;
  readonly pack: number;
}

/** A tray with cups on it: clay in both, bought by the pack. */
function needsOf({ units, tray, trayYield, cups, cupBatch, cupYield, clay, pack }: Order) {
  const ids: Record<string, string> = {};
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Example' });
    ids.clay = book.add('material', { name: 'Clay', baseUnit: 'kg' });
    const price = { materialId: ids.clay, packQuantity: String(pack), packUnit: 'kg', price: '10', currency: 'EUR' };
    book.add('supplierPrice', { ...price, validFrom: '2026-01-01' });
    ids.cup = book.add('product', { name: 'Cup', batchSize: String(cupBatch), yieldPercent: String(cupYield) });
    ids.tray = book.add('product', { name: 'Tray', batchSize: String(tray), yieldPercent: String(trayYield) });
    const perUnit = { basis: 'started unit' };
    book.add('billLine', { ...perUnit, productId: ids.cup, materialId: ids.clay, quantity: String(clay), unit: 'kg' });
    book.add('billLine', { ...perUnit, productId: ids.tray, materialId: ids.clay, quantity: '2', unit: 'kg' });
    book.add('billLine', {
      ...perUnit,
      productId: ids.tray,
      componentId: ids.cup,
      quantity: String(cups),
      unit: 'each',
    });
  });
  const evaluation = evaluated(rows);
  const of = (kind: string, id: string | undefined, member: string) =>
    Number(amount(evaluation, `${kind}/${ids.tray}@${units}@${id}/${member}`));
  return { ids, evaluation, of };
}

const upTo = (value: number) => Math.ceil(Number(value.toFixed(9)));

describe('an order', () => {
  it('is exploded into whole batches and whole packs, with what is left of each', () => {
    fc.assert(
      fc.property(
        fc.record<Order>({
          units: fc.integer({ min: 1, max: 300 }),
          tray: fc.integer({ min: 1, max: 30 }),
          trayYield: fc.integer({ min: 40, max: 100 }),
          cups: fc.integer({ min: 1, max: 6 }),
          cupBatch: fc.integer({ min: 1, max: 50 }),
          cupYield: fc.integer({ min: 40, max: 100 }),
          clay: fc.integer({ min: 1, max: 4 }),
          pack: fc.integer({ min: 1, max: 40 }),
        }),
        (order) => {
          const { ids, of } = needsOf(order);
          const [trayGood, cupGood] = [(order.tray * order.trayYield) / 100, (order.cupBatch * order.cupYield) / 100];
          const trays = upTo(order.units / trayGood);
          const needed = trays * order.tray * order.cups;
          const cups = upTo(needed / cupGood);
          const kilograms = trays * order.tray * 2 + cups * order.cupBatch * order.clay;
          expect(of('orderedProduct', ids.tray, 'batches')).toBe(trays);
          expect(of('orderedProduct', ids.cup, 'batches')).toBe(cups);
          expect(of('orderedProduct', ids.cup, 'leftOver')).toBeCloseTo(cups * cupGood - needed, 6);
          expect(of('orderedMaterial', ids.clay, 'packs')).toBe(upTo(kilograms / order.pack));
          const left = of('orderedMaterial', ids.clay, 'leftOver');
          expect(left).toBeCloseTo(upTo(kilograms / order.pack) * order.pack - kilograms, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of what is no number needs nothing', () => {
    const order = { units: 1, tray: 10, trayYield: 90, cups: 2, cupBatch: 10, cupYield: 80, clay: 1, pack: 10 };
    const { evaluation, ids } = needsOf(order);
    expect(amount(evaluation, `orderedMaterial/${ids.tray}@many@${ids.clay}/packs`)).toBe('0');
  });

  it('passes through the yields of all that goes into it', () => {
    const order = { units: 1, tray: 10, trayYield: 90, cups: 2, cupBatch: 10, cupYield: 80, clay: 1, pack: 10 };
    const { evaluation, ids } = needsOf(order);
    expect(amount(evaluation, `rolledYield/${ids.tray}/rolled`)).toBe('72');
    expect(amount(evaluation, `rolledYield/${ids.cup}/rolled`)).toBe('no such figure');
  });
});
