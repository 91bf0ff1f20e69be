import type { MovementType } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal, ZERO } from '../../number/index.js';
import { FirstInFirstOut } from './first-in-first-out.js';
import type { Holding } from './holding.js';
import { type LedgerEntry, runLedger } from './ledger.js';
import { type Movement, movementsOf } from './movement.js';
import { MovingAverage } from './moving-average.js';
import { type KeptPosition, keptOf, positionsByDay, stateOf } from './position.js';

type Step = readonly [
  type: MovementType,
  quantity: number | null,
  cost?: number | string | null,
  of?: number | null,
  day?: number,
];

/** Movements a day apart, each with the place of the one that it belongs to. */
const ledgerOf = (...steps: readonly Step[]): Movement[] =>
  movementsOf(
    steps.map(([type, quantity, cost = null, of, day], index) => ({
      id: `m${String(index).padStart(6, '0')}`,
      date: new Date(Date.UTC(2026, 0, day ?? index + 1)).toISOString().slice(0, 10),
      type,
      quantity: quantity === null ? null : String(quantity),
      cost: cost === null ? null : String(cost),
      ofMovementId: of === undefined || of === null ? null : `m${String(of).padStart(6, '0')}`,
    })),
  );

const METHODS = [
  ['moving average', () => new MovingAverage()],
  ['first in, first out', () => new FirstInFirstOut()],
] as const;

function run(holding: Holding, movements: readonly Movement[]) {
  const entries: LedgerEntry[] = [];
  const end = runLedger(holding, movements, (entry) => entries.push(entry));
  return { end, entries };
}

/** What all that left cost, with what was trued up: cost of sales. */
const costOfSales = (entries: readonly LedgerEntry[]): Decimal =>
  entries.reduce(
    (so, { movement, value, truedUp }) =>
      so.plus(truedUp).minus(['issue', 'write-off'].includes(movement.type) ? value : ZERO),
    ZERO,
  );

const shown = (amount: Decimal | undefined) => amount?.toDecimalPlaces(6).toFixed();

describe('a stock ledger', () => {
  // Recomputed by hand: (10 x 5.00 + 30 x 7.00) / 40 = 6.50, as any textbook on IAS 2.27 has it; common practice, no source.
  it('averages each receipt in, or opens a layer for it', () => {
    const movements = ledgerOf(
      ['opening', 10, 50],
      ['receipt', 30, 210],
      ['issue', 20],
      ['receipt', 20, 160],
      ['issue', 30],
    );
    const average = run(new MovingAverage(), movements);
    expect(average.entries.map(({ valueAfter }) => shown(valueAfter))).toEqual(['50', '260', '130', '290', '72.5']);
    const fifo = run(new FirstInFirstOut(), movements);
    expect(fifo.entries.map(({ valueAfter }) => shown(valueAfter))).toEqual(['50', '260', '140', '300', '80']);
  });

  // 40 chainrings at 9.00, 100 at 12.00, 90 used, then freight 84.00 on that receipt. By hand: 1,644 / 140 x 50 = 587.142857;
  // first in, first out: 50 of 100 are left, so half of 84.
  it('splits a charge that comes late between stock and cost of sales', () => {
    const movements = ledgerOf(
      ['opening', 40, 360],
      ['receipt', 100, 1200],
      ['issue', 90],
      ['late charge', null, 84, 1],
    );
    const [average, fifo] = METHODS.map(([, begin]) => run(begin(), movements));
    expect([shown(average?.end.value), shown(average?.entries[3]?.value), shown(average?.entries[3]?.truedUp)]).toEqual(
      ['587.142857', '30', '54'],
    );
    expect([shown(fifo?.end.value), shown(fifo?.entries[3]?.value), shown(fifo?.entries[3]?.truedUp)]).toEqual([
      '642',
      '42',
      '42',
    ]);
  });

  // 10 kg vanilla at 4.00; 16 used; 30 received at 5.00: 24 kg at 5.00, and 6 x (5.00 - 4.00) more cost of use.
  it('covers what was used before it came at what it came at', () => {
    const movements = ledgerOf(['opening', 10, 40], ['issue', 16], ['receipt', 30, 150]);
    for (const [, begin] of METHODS) {
      const { end, entries } = run(begin(), movements);
      expect([shown(end.quantity), shown(end.value), shown(costOfSales(entries)), shown(entries[2]?.truedUp)]).toEqual([
        '24',
        '120',
        '70',
        '6',
      ]);
    }
  });

  it('keeps units that are not covered yet at their provisional cost', () => {
    const movements = ledgerOf(['opening', 10, 40], ['issue', 16], ['receipt', 4, 24], ['receipt', 4, 28]);
    for (const [, begin] of METHODS) {
      const { entries } = run(begin(), movements);
      expect(entries.map(({ quantityAfter, valueAfter }) => [shown(quantityAfter), shown(valueAfter)])).toEqual([
        ['10', '40'],
        ['-6', '-24'],
        ['-2', '-8'],
        ['2', '14'],
      ]);
      expect(entries.map(({ truedUp }) => shown(truedUp))).toEqual(['0', '0', '8', '6']);
    }
  });

  it('takes goods back at the cost they left at, sends them back at that of their receipt, and counts', () => {
    const movements = ledgerOf(
      ['opening', 10, 40],
      ['receipt', 10, 60],
      ['issue', 4],
      ['return from customer', 2, null, 2],
      ['return to supplier', 5, null, 1],
      ['count', 12],
      ['count', 14],
      ['write-off', 14],
    );
    const average = run(new MovingAverage(), movements);
    expect(average.entries.map(({ value }) => shown(value))).toEqual([
      ...['40', '60', '-20', '10', '-30'],
      // 13 left for 60.00: one is missing, then two are found at 60 / 13.
      ...['-4.615385', '9.230769', '-64.615385'],
    ]);
    const fifo = run(new FirstInFirstOut(), movements);
    expect(fifo.entries.map(({ value }) => shown(value))).toEqual(['40', '60', '-16', '8', '-30', '-4', '8', '-66']);
    expect([shown(average.end.value), shown(fifo.end.value)]).toEqual(['0', '0']);
  });

  it('goes by the day and not by the order of entry, and brings in before it takes out', () => {
    const late = ledgerOf(['issue', 5, null, null, 2], ['receipt', 5, 20, null, 2], ['opening', 1, 4, null, 1]);
    expect(late.map(({ type }) => type)).toEqual(['opening', 'receipt', 'issue']);
  });
});

const steps = (prices: fc.Arbitrary<number>) =>
  fc.array(
    fc.oneof(
      {
        weight: 3,
        arbitrary: fc.record({
          type: fc.constant('receipt' as const),
          quantity: fc.integer({ min: 1, max: 500 }),
          price: prices,
        }),
      },
      {
        weight: 3,
        arbitrary: fc.record({
          type: fc.constantFrom('issue' as const, 'write-off' as const),
          quantity: fc.integer({ min: 1, max: 400 }),
          price: prices,
        }),
      },
      {
        weight: 1,
        arbitrary: fc.record({
          type: fc.constant('count' as const),
          quantity: fc.integer({ min: 0, max: 600 }),
          price: prices,
        }),
      },
    ),
    { minLength: 1, maxLength: 40 },
  );
const asSteps = (list: readonly { type: MovementType; quantity: number; price: number }[]): Step[] =>
  list.map(({ type, quantity, price }) => [type, quantity, type === 'receipt' ? quantity * price : null]);

/** What was kept is worth by each method, without the last digits. */
function worthOf(kept: KeptPosition): (string | undefined)[] {
  const { average, fifo, monthAverage, monthFifo } = stateOf(kept);
  return [average, fifo, monthAverage, monthFifo].flatMap(({ quantity, value, nextCost }) =>
    [quantity, value, nextCost ?? ZERO].map((amount) => amount.toDecimalPlaces(12).toFixed()),
  );
}

describe('whatever moves,', () => {
  it('the value of stock is what came in less what went out, and nothing in stock is worth nothing', () => {
    fc.assert(
      fc.property(steps(fc.integer({ min: 1, max: 90 })), (list) => {
        for (const [, begin] of METHODS) {
          const { entries } = run(begin(), ledgerOf(...asSteps(list)));
          let value = ZERO;
          for (const entry of entries) {
            value = value.plus(entry.value);
            expect(value.minus(entry.valueAfter).abs().lt('1e-20')).toBe(true);
            if (entry.quantityAfter.isZero()) expect(entry.valueAfter.isZero()).toBe(true);
            if (entry.movement.type === 'receipt')
              expect(
                entry.value
                  .plus(entry.truedUp)
                  .minus(entry.movement.cost ?? ZERO)
                  .abs()
                  .lt('1e-20'),
              ).toBe(true);
          }
        }
      }),
    );
  });

  it('the methods agree when the price never changes', () => {
    fc.assert(
      fc.property(steps(fc.constant(7)), (list) => {
        const [average, fifo] = METHODS.map(
          ([, begin]) => run(begin(), ledgerOf(['opening', 5, 35], ...asSteps(list))).end,
        );
        expect(average?.quantity.eq(fifo?.quantity as Decimal)).toBe(true);
        expect(
          (average?.value as Decimal)
            .minus(fifo?.value as Decimal)
            .abs()
            .lt('1e-20'),
        ).toBe(true);
      }),
    );
  });

  it('a late charge leaves what the ledger would hold had it come in time, and before any use it is the same charge', () => {
    fc.assert(
      fc.property(
        steps(fc.integer({ min: 1, max: 90 })),
        fc.integer({ min: -50, max: 300 }),
        fc.nat(),
        (list, charge, pick) => {
          const plain = asSteps(list);
          const receipts = plain.flatMap(([type], index) => (type === 'receipt' ? [index] : []));
          if (receipts.length === 0) return;
          const at = receipts[pick % receipts.length] as number;
          const inTime = plain.map((step, index): Step =>
            index === at ? ['receipt', step[1], Number(step[2]) + charge] : step,
          );
          for (const [, begin] of METHODS) {
            const late = run(begin(), ledgerOf(...plain, ['late charge', null, charge, at]));
            const before = run(begin(), ledgerOf(...inTime)).end;
            expect(late.end.value.minus(before.value).abs().lt('1e-20')).toBe(true);
            const entry = late.entries.at(-1) as LedgerEntry;
            expect(entry.value.plus(entry.truedUp).minus(charge).abs().lt('1e-20')).toBe(true);
          }
        },
      ),
    );
  });

  it('what is kept of the end of a month goes on as if the ledger had been read from its beginning', () => {
    fc.assert(
      fc.property(
        steps(fc.integer({ min: 1, max: 90 })),
        fc.integer({ min: 1, max: 9 }),
        fc.nat(),
        (list, gap, pick) => {
          const spread = asSteps(list).map(([type, quantity, cost], index): Step => [
            type,
            quantity,
            cost ?? null,
            null,
            1 + index * gap,
          ]);
          const movements = ledgerOf(...spread);
          const days = positionsByDay(null, movements);
          const ends = days.flatMap(({ kept }, index) => (kept.byMonth === '' ? [] : [index]));
          expect(ends.length).toBe(new Set(days.map(({ day }) => day.slice(0, 7))).size);
          const at = ends[pick % ends.length] as number;
          const goesOn = positionsByDay(days[at]?.kept ?? null, movements.slice(at + 1));
          goesOn.forEach(({ day, kept }, index) => {
            const whole = days[at + 1 + index];
            expect(day).toBe(whole?.day);
            expect(worthOf(kept)).toEqual(worthOf(whole?.kept as KeptPosition));
          });
          const last = days.at(-1)?.kept;
          if (last !== undefined) expect(keptOf(stateOf(last), stateOf(last))).toEqual(last);
        },
      ),
    );
  });

  it('oldest first uses layers as a queue of single units would', () => {
    fc.assert(
      fc.property(steps(fc.integer({ min: 1, max: 90 })), (list) => {
        const units: number[] = [];
        const covered = list.filter(({ type }) => type !== 'count');
        const kept: typeof covered = [];
        for (const each of covered) {
          if (each.type === 'receipt') units.push(...Array.from({ length: each.quantity }, () => each.price));
          else if (each.quantity > units.length) continue;
          else units.splice(0, each.quantity);
          kept.push(each);
        }
        const { end } = run(new FirstInFirstOut(), ledgerOf(...asSteps(kept)));
        expect(Number(end.value.toDecimalPlaces(15))).toBe(units.reduce((so, price) => so + price, 0));
      }),
      { numRuns: 60 },
    );
  });
});
