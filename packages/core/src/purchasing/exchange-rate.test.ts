import fc from 'fast-check';
import { expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

const DAYS = ['2026-03-01', '2026-03-02', '2026-03-03', '2026-03-31', '2026-04-01'] as const;

it('the rate in force is the newest that is dated on the day or before it, its first day included', () => {
  const rates = fc.uniqueArray(fc.record({ currency: fc.constantFrom('USD', 'GBP'), at: fc.nat(DAYS.length - 1) }), {
    selector: ({ currency, at }) => `${currency} ${at}`,
    maxLength: 8,
  });
  fc.assert(
    fc.property(rates, fc.constantFrom('USD', 'GBP'), fc.nat(DAYS.length - 1), (all, currency, asked) => {
      const rows = rowsOf((book) => {
        book.add('settings', { name: 'Studio' });
        for (const { currency: of, at } of all)
          book.add('exchangeRate', { currency: of, rate: String(at + 1), validFrom: DAYS[at] });
      });
      const inForce = all.filter((each) => each.currency === currency && each.at <= asked).map(({ at }) => at + 1);
      expect(amount(evaluated(rows), `exchangeRate/${currency}@${DAYS[asked]}/rate`)).toBe(
        inForce.length === 0 ? 'no-exchange-rate' : String(Math.max(...inForce)),
      );
    }),
  );
});

it('a rate says of which day it is: of its own, or of that for which there is none', () => {
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Studio' });
    book.add('exchangeRate', { currency: 'USD', rate: '0.9', validFrom: '2026-03-02' });
  });
  const subjectOn = (day: string) => evaluated(rows).figure(`exchangeRate/USD@${day}/rate`)?.subject;
  expect([subjectOn('2026-03-01'), subjectOn('2026-03-31')]).toEqual(['USD on 01/03/2026', 'USD from 02/03/2026']);
});
