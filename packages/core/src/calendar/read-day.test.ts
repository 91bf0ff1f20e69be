import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDay } from './read-day.js';

describe('a typed day', () => {
  it.each([
    ['2026-03-31', '2026-03-31'],
    ['2026/3/31', '2026-03-31'],
    ['31.03.2026', '2026-03-31'],
    ['31/3/26', '2026-03-31'],
    ['31-3-2026', '2026-03-31'],
    ['31 March 2026', '2026-03-31'],
    ['31. Mar 26', '2026-03-31'],
    ['Mar 31, 2026', '2026-03-31'],
    ['September 1 2026', '2026-09-01'],
    ['29/2/2028', '2028-02-29'],
    ['29/2/2026', null],
    ['31/3', null],
    ['3.5', null],
    ['Quarz 3 2026', null],
    ['2026-13-01', null],
    ['31/3/2026 or so', null],
    ['', null],
  ])('reads %s', (text, day) => {
    expect(readDay(text, 'day first')).toBe(day);
  });

  it('is one of the given year where it names none', () => {
    expect(readDay('31/3', 'day first', 2026)).toBe('2026-03-31');
    expect(readDay('31.3.', 'day first', 2026)).toBe('2026-03-31');
    expect(readDay('12 May', 'day first', 2026)).toBe('2026-05-12');
    expect(readDay('29/2', 'day first', 2026)).toBeNull();
  });

  // How the countries write days, by the Unicode Common Locale Data Repository that comes with Node.js.
  it.each(['en-GB', 'en-IE', 'en-US', 'en-CA', 'en-ZA', 'de-DE', 'de-CH', 'fr-FR', 'fr-CA', 'sv-SE', 'nl-NL', 'pl-PL'])(
    'is read as %s writes it',
    (locale) => {
      const format = new Intl.DateTimeFormat(locale, {
        year: 'numeric',
        month: '2-digit',
        day: '2-digit',
        timeZone: 'UTC',
      });
      const order = locale === 'en-US' ? 'month first' : 'day first';
      const days = fc.date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true });
      fc.assert(
        fc.property(days, (date) => {
          expect(readDay(format.format(date), order)).toBe(date.toISOString().slice(0, 10));
        }),
      );
    },
  );
});
