import type { StoredRow } from '@nuvar/book';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { updateOf } from '../book/operations.js';
import { isInput } from '../controls/grid/grid-model.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { usesColumns, usesWriter } from './equipment-uses.js';

beforeEach(openDemo);

/** Sixty are started in one batch of it. */
const mug = () => named('product', 'Everyday mug');
const machines = () => ({
  columns: usesColumns(model.rows.all('equipment'), model.rows.all('equipmentRun'), 'en-GB', 'EUR'),
  writer: usesWriter(mug().id),
  row: (id: string) => model.rows.row('equipmentUse', id),
});
const rowAt = (id: string) => model.rows.row('equipmentUse', id) as StoredRow<'equipmentUse'>;
const added = (texts: Record<string, string>) => {
  const { id, refusal } = typed(machines, texts);
  expect(refusal).toBeNull();
  return id;
};
const figureOf = (key: string) => figuresNow().figure(key);
const costOf = (id: string) => figureOf(`equipmentUse/${id}/perBatch`);
/** How its amount may be stated. */
const basisWords = (id: string) => {
  const basis = machines().columns.find((column) => column.id === 'basis');
  return basis !== undefined && isInput(basis) ? basis.options?.(rowAt(id)).map(({ label }) => label) : [];
};

describe('a machine that is typed into what a product needs', () => {
  it('is counted by its time, a batch or a unit, at what its hour costs', () => {
    const id = added({ machine: 'throwing WHEEL', amount: '90' });
    expect(rowAt(id)).toMatchObject({ equipmentId: named('equipment', 'Throwing wheel').id, runId: null });
    expect(basisWords(id)).toEqual(['min a batch', 'min a unit', 'min a good unit']);
    const perHour = Number(figureOf(`equipment/${rowAt(id).equipmentId}/perHour`)?.amount);
    expect(Number(costOf(id)?.amount)).toBeCloseTo(1.5 * perHour, 12);
    expect(typed(machines, { basis: 'min a unit', amount: '3' }, id).refusal).toBeNull();
    expect(Number(costOf(id)?.amount)).toBeCloseTo(3 * perHour, 12);
  });

  // The firing takes 11 hours of the kiln and has 140 places, of which 95 in a hundred are filled and carry all of it.
  it('of a run that others share is counted by the space that it takes there', () => {
    const id = added({ machine: 'Bisque firing', amount: '1.5' });
    expect(rowAt(id)).toMatchObject({ equipmentId: null, basis: 'space per unit' });
    expect(basisWords(id)).toEqual(['places a unit']);
    const tariff = Number(model.rows.all('settings')[0]?.electricityPerKilowattHour);
    const hourOfKiln = 18 * 0.45 * tariff + (7800 - 600) / 9000 + 0.6;
    expect(tariff).toBeGreaterThan(0);
    expect(Number(costOf(id)?.amount)).toBeCloseTo((60 * 1.5 * 11 * hourOfKiln) / (140 * 0.95), 10);
  });

  it('comes back to time where a machine takes the place of a shared run', () => {
    const id = added({ machine: 'Glaze firing', amount: '1' });
    expect(typed(machines, { machine: 'Kiln' }, id).refusal).toBeNull();
    expect(rowAt(id)).toMatchObject({
      equipmentId: named('equipment', 'Kiln').id,
      runId: null,
      basis: 'minutes per batch',
    });
  });

  it('is made where it is not in the book, and has no cost until something is said of its hour', () => {
    const id = added({ machine: 'Slab roller', amount: '30' });
    const roller = named('equipment', 'Slab roller');
    expect(rowAt(id).equipmentId).toBe(roller.id);
    expect(costOf(id)?.gaps.map(({ code }) => code)).toEqual(['no-equipment-cost']);
    expect(changed(updateOf('equipment', roller, { upkeepPerHour: '2' }))).toEqual([]);
    expect(costOf(id)?.amount?.toFixed()).toBe('1');
  });

  it('is nothing without a name', () => {
    expect(typed(machines, { machine: ' ' }).refusal).toBe('Type the name of the equipment or of a shared load.');
    const before = model.rows.count('equipmentUse');
    expect(typed(machines, { amount: '20' }).refusal).toBeNull();
    expect(model.rows.count('equipmentUse')).toBe(before);
  });
});
