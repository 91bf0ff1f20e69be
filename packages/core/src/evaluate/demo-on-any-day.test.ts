import { addMonths } from '../calendar/index.js';
import { DEMO_DAY, quillfernPottery, rowsOfFile, wholeMonthsBetween } from '@nuvar/book/demo';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { evaluated } from '../testing/evaluated.js';
import { reportOf } from '../views/index.js';

/** The amounts of a report under their places in it; names of days and months left out. */
function amounts(node: unknown, place = ''): [string, unknown][] {
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([key, value]) =>
    ['amount', 'code', 'percent', 'units'].includes(key) && typeof value === 'string'
      ? [[`${place}/${key}`, value] as [string, unknown]]
      : amounts(value, `${place}/${key}`),
  );
}

const figuresOn = (day: string) => amounts(reportOf(evaluated(rowsOfFile(quillfernPottery(day)), day)));

it('the demo book has the same figures and the same loose ends on every day on which it is opened', () => {
  const today = figuresOn(DEMO_DAY);
  expect(today.length).toBeGreaterThan(500);
  const days = fc.date({ min: new Date('2027-01-01'), max: new Date('2040-12-31'), noInvalidDate: true });
  const named = ['2026-12-24', '2028-02-28', '2028-02-29', '2029-03-25', '2026-12-31', '2027-01-01', '2036-11-25'];
  fc.assert(
    fc.property(
      days.map((date) => date.toISOString().slice(0, 10)),
      (day) => {
        expect(figuresOn(day)).toEqual(today);
      },
    ),
    { numRuns: 8, examples: named.map((day) => [day]) },
  );
});

it.each([
  ['2026-11-25', '2026-11-25', 0],
  ['2026-11-25', '2026-12-24', 0],
  ['2026-11-25', '2026-12-25', 1],
  ['2026-11-25', '2026-11-24', -1],
  ['2026-11-30', '2028-02-29', 15],
  ['2026-11-30', '2028-02-28', 14],
])('from %s to %s there are %i whole months', (from, to, months) => {
  expect(wholeMonthsBetween(from, to)).toBe(months);
  expect(addMonths(from, months) <= to && addMonths(from, months + 1) > to).toBe(true);
});
