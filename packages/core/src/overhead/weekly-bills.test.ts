import fc from 'fast-check';
import { expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

const dayOf = (count: number): string => new Date(Date.UTC(2026, 0, 1 + count)).toISOString().slice(0, 10);
const weekdayOf = (day: string): number => new Date(`${day}T00:00:00Z`).getUTCDay();

it('a weekly bill comes on the weekday of its start, on its first day and on its last one too', () => {
  const days = fc.option(fc.integer({ min: 0, max: 120 }), { freq: 3 });
  fc.assert(
    fc.property(days, days, fc.integer({ min: 1, max: 4 }), (starts, lasts, month) => {
      const startsOn = starts === null ? null : dayOf(starts);
      const endsOn = lasts === null ? null : dayOf((starts ?? 0) + lasts);
      let id = '';
      const rows = rowsOf((book) => {
        book.add('settings', { name: 'Studio' });
        id = book.add('runningCost', { name: 'Cleaning', amount: '10', rhythm: 'week', startsOn, endsOn });
      });
      const inMonth = Array.from({ length: 400 }, (_none, count) => dayOf(count)).filter(
        (day) => day.slice(0, 7) === `2026-0${month}`,
      );
      const bills = inMonth.filter(
        (day) =>
          weekdayOf(day) === (startsOn === null ? 1 : weekdayOf(startsOn)) &&
          (startsOn === null || day >= startsOn) &&
          (endsOn === null || day <= endsOn),
      );
      expect(amount(evaluated(rows), `costMonth/${id}@2026-0${month}-01/bills`)).toBe(String(10 * bills.length));
    }),
    { numRuns: 200 },
  );
});
