import { newId, type StoredRow } from '@nuvar/book';
import { beforeEach, describe, expect, it } from 'vitest';
import { today } from '../state/today.js';
import { model } from '../book/model.js';
import { changed, figuresNow, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { runningCostColumns, runningCostWriter } from './running-cost-rows.js';

beforeEach(openDemo);

const costs = () => ({
  columns: runningCostColumns('en-GB', 'EUR'),
  writer: runningCostWriter,
  row: (id: string) => model.rows.row('runningCost', id),
});
const costAt = (id: string) => model.rows.row('runningCost', id) as StoredRow<'runningCost'>;
const added = (texts: Record<string, string>) => {
  const { id, refusal } = typed(costs, texts);
  expect(refusal).toBeNull();
  return id;
};
const monthly = (id: string) => Number(figuresNow().figure(`runningCost/${id}/perMonth`)?.amount);
const rateOf = (lot: string) => {
  const methodId = model.rows.all('costingMethod').find(({ role }) => role === 'book')?.id ?? 'standard';
  const figure = (member: string) => Number(figuresNow().figure(`overheadLot/${methodId}@${lot}/${member}`)?.amount);
  return { rate: figure('rate'), basis: figure('basis') };
};
const overheadNow = (member: string) => Number(figuresNow().figure(`overhead/book/${member}`)?.amount);

describe('a running cost that is typed', () => {
  // Common practice: a yearly bill counts one twelfth a month, a week 52 / 12 of it.
  it.each([
    ['year', 100],
    ['quarter', 400],
    ['month', 1200],
    ['week', (1200 * 52) / 12],
  ])('of 1,200 each %s counts %f a month, and raises what an open day costs', (rhythm, perMonth) => {
    const before = [overheadNow('total'), overheadNow('perOpenDay')] as const;
    const id = added({ name: 'Studio insurance, second policy', amount: '1,200', rhythm });
    expect(monthly(id)).toBeCloseTo(perMonth, 10);
    expect(overheadNow('total') - before[0]).toBeCloseTo(perMonth, 8);
    const openDays = Number(figuresNow().figure('openDays/book/perMonth')?.amount);
    expect(overheadNow('perOpenDay') - before[1]).toBeCloseTo(perMonth / openDays, 8);
  });

  it('of an open day counts on every day on which the door is open', () => {
    const openDays = Number(figuresNow().figure('openDays/book/perMonth')?.amount);
    expect(monthly(added({ name: 'Market pitch', amount: '12', rhythm: 'each open day' }))).toBeCloseTo(
      12 * openDays,
      8,
    );
  });

  it('once and no more begins today and is spread over a year, until something else is typed', () => {
    const id = added({ name: 'New shelves', amount: '600', rhythm: 'one-off, spread' });
    expect([costAt(id).startsOn, costAt(id).months, monthly(id)]).toEqual([today(), 12, 50]);
    expect(typed(costs, { months: '24' }, id).refusal).toBeNull();
    expect(monthly(id)).toBe(25);
    expect(typed(costs, { startsOn: '2031-01-01' }, id).refusal).toBeNull();
    expect(monthly(id)).toBe(0);
    expect(typed(costs, { rhythm: 'one-off, spread' }, id).refusal).toBeNull();
    expect([costAt(id).startsOn, costAt(id).months]).toEqual(['2031-01-01', 24]);
  });

  it('once begins today too where the whole row comes in one go, as from a spreadsheet', () => {
    const id = newId();
    const row = { name: 'Signs', amount: '120', rhythm: 'one-off' } as const;
    expect(changed(runningCostWriter.create(id, row, []) ?? [])).toEqual([]);
    expect([costAt(id).startsOn, costAt(id).months, monthly(id)]).toEqual([today(), 12, 10]);
  });

  it('falls on production or on the rest, and moves only that rate', () => {
    const id = added({ name: 'Gas', amount: '480', rhythm: 'monthly', pool: 'Premises' });
    const [making, rest] = [rateOf('production'), rateOf('non-production')];
    expect(typed(costs, { pool: 'selling and office' }, id).refusal).toBeNull();
    expect(rateOf('production').rate).toBeCloseTo(making.rate - 480 / making.basis, 8);
    expect(rateOf('non-production').rate).toBeCloseTo(rest.rate + 480 / rest.basis, 8);
  });

  it('makes the pool that is typed and not there yet, and goes into the one that is', () => {
    const count = () => model.rows.count('costPool');
    const before = count();
    const id = added({ name: 'Gas', amount: '480', pool: 'Glass room' });
    expect(count()).toBe(before + 1);
    const pool = model.rows.row('costPool', costAt(id).poolId ?? '');
    expect([pool?.name, pool?.use]).toEqual(['Glass room', 'production']);
    expect(costAt(added({ name: 'Gloves', amount: '4', pool: 'glass ROOM' })).poolId).toBe(pool?.id);
    expect(count()).toBe(before + 1);
  });

  it('needs a name, and an amount that is none is refused', () => {
    const before = model.rows.count('runningCost');
    expect(typed(costs, { amount: '30' }).refusal).toBeNull();
    expect(model.rows.count('runningCost')).toBe(before);
    expect(typed(costs, { name: 'Rent of a kiln', amount: '-30' }).refusal).not.toBeNull();
  });
});
