import { rowsByKind } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../evaluate/index.js';
import type { Figure } from '../../figure/index.js';
import { DAY, rowsOf } from '../../testing/evaluated.js';
import { stockPeriod } from './stock-period.js';

/** A step of a ledger: how many days after the one before, what moved, and the place of the movement that it belongs to. */
interface Step {
  readonly gap: number;
  readonly type: 'receipt' | 'issue' | 'return from customer' | 'return to supplier' | 'late charge' | 'write-off';
  readonly quantity: number;
  readonly price: number;
  readonly of: number;
}

interface Moved {
  readonly day: number;
  readonly type: Step['type'] | 'count';
  readonly quantity: number;
  readonly cost: number;
  readonly of: number | null;
}

const amount = (figure: Figure | null | undefined): number => Number(figure?.amount ?? 0);
const dayText = (day: number) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10);
const monthOf = (day: number) => dayText(day).slice(0, 7);

const steps = fc.array(
  fc.record<Step>({
    gap: fc.integer({ min: 1, max: 12 }),
    type: fc.constantFrom(
      'receipt',
      'receipt',
      'issue',
      'issue',
      'return from customer',
      'return to supplier',
      'late charge',
      'write-off',
    ),
    quantity: fc.integer({ min: 1, max: 60 }),
    price: fc.integer({ min: 1, max: 40 }),
    of: fc.nat(),
  }),
  { minLength: 2, maxLength: 30 },
);

/** Steps that can be: nothing is oversold, and no more comes back than went out or came in. */
function possible(list: readonly Step[]): Moved[] {
  const moved: Moved[] = [];
  const left = new Map<number, number>();
  let [held, day] = [0, 0];
  for (const { gap, type, quantity, price, of } of list) {
    day += gap;
    const wanted = type === 'return from customer' ? 'issue' : 'receipt';
    const others = moved.flatMap((each, index) => (each.type === wanted ? [index] : []));
    const other = others[of % Math.max(others.length, 1)] ?? null;
    const isBound = ['return from customer', 'return to supplier', 'late charge'].includes(type);
    if (isBound && other === null) continue;
    const most = type.startsWith('return') ? (left.get(other ?? 0) ?? 0) : quantity;
    const isOut = ['issue', 'write-off', 'return to supplier'].includes(type);
    const counted = Math.min(quantity, most, isOut ? held : quantity);
    if (counted === 0) continue;
    if (type.startsWith('return')) left.set(other ?? 0, most - counted);
    if (type === 'receipt' || type === 'issue') left.set(moved.length, counted);
    if (type !== 'late charge') held += isOut ? -counted : counted;
    moved.push({ day, type, quantity: counted, cost: counted * price, of: isBound ? other : null });
  }
  return moved;
}

/**
 * The value at the end of a day by the average of each month, naively: of each month the whole of what was available,
 * divided once. What came late is part of its receipt. Null where what went back was worth more than there was.
 */
function naiveAverage(all: readonly Moved[], until: number): number | null {
  const seen = all.map((each, index) => ({ ...each, index })).filter(({ day }) => day <= until);
  const paid = (index: number) =>
    seen.reduce(
      (cost, each) =>
        each.index === index || (each.type === 'late charge' && each.of === index) ? cost + each.cost : cost,
      0,
    ) / (all[index] as Moved).quantity;
  const averages = new Map<string, number>();
  let [quantity, value] = [0, 0];
  for (const month of new Set(seen.map(({ day }) => monthOf(day)))) {
    const now = seen.filter(({ day }) => monthOf(day) === month);
    for (const { type, quantity: moved, of, index } of now) {
      const from = all[of ?? 0] as Moved;
      if (type === 'receipt') [quantity, value] = [quantity + moved, value + moved * paid(index)];
      if (type === 'return to supplier') [quantity, value] = [quantity - moved, value - moved * paid(of ?? 0)];
      if (type === 'return from customer' && monthOf(from.day) !== month)
        [quantity, value] = [quantity + moved, value + moved * (averages.get(monthOf(from.day)) ?? 0)];
    }
    if (value < -1e-9 || (quantity === 0 && now.some(({ type }) => type === 'issue'))) return null;
    const average = quantity === 0 ? 0 : value / quantity;
    averages.set(month, average);
    for (const { type, quantity: moved, of } of now) {
      const isBack = type === 'return from customer' && monthOf((all[of ?? 0] as Moved).day) === month;
      if (type === 'issue' || type === 'write-off') quantity -= moved;
      if (isBack) quantity += moved;
    }
    value = quantity * average;
  }
  return value;
}

function bookOf(moved: readonly Moved[]) {
  let material = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Any', openDaysPerMonth: '20' });
    material = book.add('material', { name: 'Clay', baseUnit: 'kg' });
    const ids: string[] = [];
    for (const { day, type, quantity, cost, of } of moved)
      ids.push(
        book.add('stockMovement', {
          materialId: material,
          date: dayText(day),
          type,
          quantity: type === 'late charge' ? null : String(quantity),
          cost: type === 'receipt' || type === 'late charge' ? String(cost) : null,
          ofMovementId: of === null ? null : (ids[of] ?? null),
          unit: 'kg',
        }),
      );
  });
  const evaluation = evaluate(rowsByKind(rows), DAY);
  return (from: number, to: number) =>
    evaluation.read(stockPeriod, `${material}@${dayText(from)}@${dayText(to)}@0001-01-01`).methods;
}

const METHODS = ['moving average', 'first in, first out', 'periodic average', 'periodic first in, first out'] as const;

describe('periods of a stock ledger', () => {
  it('open as the one before closed, by every method, wherever they are cut', () => {
    fc.assert(
      fc.property(steps, fc.array(fc.integer({ min: 0, max: 360 }), { maxLength: 3 }), (list, cuts) => {
        const between = bookOf(possible(list));
        const days = [...new Set([0, ...cuts, 361])].sort((one, other) => one - other);
        const periods = days.slice(1).map((day, index) => between(days[index] as number, day - 1));
        const whole = between(0, 360);
        for (const method of METHODS) {
          periods.forEach((period, index) => {
            const next = periods[index + 1];
            if (next !== undefined)
              expect(amount(next?.[method].opening)).toBeCloseTo(amount(period?.[method].closing), 8);
          });
          const used = periods.reduce((sum, period) => sum + amount(period?.[method].used), 0);
          const apart = (of: 'toSupplier' | 'writtenOff') =>
            periods.reduce((sum, period) => sum + amount(period?.[method][of]), 0);
          expect(used + apart('toSupplier') + apart('writtenOff')).toBeCloseTo(
            amount(whole?.[method].received) - amount(whole?.[method].closing),
            6,
          );
        }
      }),
      { numRuns: 60 },
    );
  });

  it('are valued at the average of each month, whatever came back or came late', () => {
    fc.assert(
      fc.property(steps, fc.integer({ min: 0, max: 360 }), (list, until) => {
        const moved = possible(list);
        const expected = naiveAverage(moved, until);
        fc.pre(expected !== null);
        expect(amount(bookOf(moved)(0, until)?.['periodic average'].closing)).toBeCloseTo(expected as number, 6);
      }),
      { numRuns: 150 },
    );
  });

  it('are valued with all receipts of a month before its issues, first in, first out', () => {
    // 10 at 2 in January, 4 used; 10 at 3 in February, 12 used before they came: 6 at 2 and 6 at 3 are used, 4 at 3 are left.
    const between = bookOf([
      { day: 0, type: 'receipt', quantity: 10, cost: 20, of: null },
      { day: 3, type: 'issue', quantity: 4, cost: 0, of: null },
      { day: 35, type: 'issue', quantity: 12, cost: 0, of: null },
      { day: 40, type: 'receipt', quantity: 10, cost: 30, of: null },
      // Half a year later a freight bill of 5.00 for February: 4 of the 10 are left.
      { day: 200, type: 'late charge', quantity: 1, cost: 5, of: 3 },
    ]);
    const method = 'periodic first in, first out';
    expect(amount(between(31, 58)?.[method].used)).toBeCloseTo(30, 9);
    expect(amount(between(31, 58)?.[method].closing)).toBeCloseTo(12, 9);
    expect(amount(between(181, 211)?.[method].opening)).toBeCloseTo(12, 9);
    expect(amount(between(181, 211)?.[method].closing)).toBeCloseTo(14, 9);
    expect(amount(between(181, 211)?.[method].used)).toBeCloseTo(3, 9);
  });

  it('are what they were where a count finds what is there, and lose what it does not find', () => {
    fc.assert(
      fc.property(steps, fc.nat({ max: 20 }), (list, short) => {
        const moved = possible(list);
        const held = moved.reduce((sum, { type, quantity }) => {
          if (type === 'late charge') return sum;
          return sum + (['receipt', 'return from customer'].includes(type) ? quantity : -quantity);
        }, 0);
        const [last] = moved.slice(-1);
        fc.pre(last !== undefined && held > short);
        const day = (last as Moved).day + 1;
        const counted = bookOf([...moved, { day, type: 'count', quantity: held - short, cost: 0, of: null }])(0, day);
        const before = bookOf(moved)(0, day);
        for (const method of METHODS) {
          const [then, now] = [amount(before?.[method].closing), amount(counted?.[method].closing)];
          if (short === 0) expect(now).toBeCloseTo(then, 8);
          else expect(now).toBeLessThan(then + 1e-9);
          expect(amount(counted?.[method].received) - amount(before?.[method].received)).toBeCloseTo(0, 8);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('take back on the same day what was sold on it, at its very cost', () => {
    const ledger = (day: number) =>
      bookOf([
        { day: 0, type: 'receipt', quantity: 10, cost: 10, of: null },
        { day: 1, type: 'receipt', quantity: 10, cost: 30, of: null },
        { day: 2, type: 'issue', quantity: 12, cost: 0, of: null },
        { day, type: 'return from customer', quantity: 6, cost: 0, of: 2 },
      ])(0, 30)?.['first in, first out'].closing;
    // 10 at 1.00 and 2 at 3.00 left: 16.00 for 12, of which 6 come back at 8.00; 8 at 3.00 were left.
    expect(amount(ledger(2))).toBeCloseTo(32, 9);
    expect(amount(ledger(2))).toBeCloseTo(amount(ledger(3)), 9);
  });
});
