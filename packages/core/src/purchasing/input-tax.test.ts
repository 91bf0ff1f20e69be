import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, DAY, evaluated, workshop } from '../testing/evaluated.js';

type Fields = Readonly<Record<string, unknown>>;

const byDay = (one: { validFrom: string }, other: { validFrom: string }) =>
  one.validFrom.localeCompare(other.validFrom);

/** The workshop's material: a pack of 10 kg at 40, so 4.00 a kilo, with its tax; and what is known of the registration. */
const perKilo = (price: Fields, settings: Fields = {}, registration: Fields | null = null, day = DAY) => {
  const { rows, material } = workshop({
    supplierPrice: price,
    settings,
    ...(registration === null ? {} : { taxRegistration: registration }),
  });
  return amount(evaluated(rows, day), `materialPrice/${material}/perBaseUnit`);
};

describe('tax on a purchase', () => {
  const onTop = { taxPercent: '20' };
  const inside = { price: '48', taxPercent: '20', taxInside: true };
  const registered = { salesTaxPercent: '20' };

  // IAS 2.11: the cost of purchase has the taxes that are not recovered from the tax authority.
  it('is a cost as far as it is not recovered, on top of the price or inside it', () => {
    expect(perKilo(onTop, registered)).toBe('4');
    expect(perKilo(inside, registered)).toBe('4');
    expect(perKilo(onTop)).toBe('4.8');
    expect(perKilo(inside)).toBe('4.8');
    expect(perKilo({})).toBe('4');
  });

  const from = (validFrom: string, more: Fields = {}) => ({ validFrom, ...more });

  it('follows the registration that has begun, and the share that it recovers', () => {
    expect(perKilo(onTop, {}, from('2026-01-01'))).toBe('4');
    expect(perKilo(onTop, {}, from('2026-01-01', { recoveredPercent: '60' }))).toBe('4.32');
    expect(perKilo(inside, registered, from('2026-01-01', { registered: false }))).toBe('4.8');
    expect(perKilo(onTop, {}, from('2027-01-01'))).toBe('4.8');
    expect(perKilo(onTop, {}, from('2027-01-01'), '2027-01-01')).toBe('4');
  });

  it('before the first entry is that of a business that the entry registers, or whose registration it ends', () => {
    const begins = from('2026-12-01');
    const ends = from('2026-12-01', { registered: false });
    // Whatever the settings say: an entry answers for the days before it.
    expect([perKilo(onTop, registered, begins), perKilo(onTop, {}, ends)]).toEqual(['4.8', '4']);
    expect([perKilo(onTop, registered, begins, '2026-12-01'), perKilo(onTop, {}, ends, '2026-12-01')]).toEqual([
      '4',
      '4.8',
    ]);
  });

  it('and tax on sales are of one status, on every day and whatever was entered', () => {
    const days = fc.integer({ min: 1, max: 28 }).map((day) => `2026-11-${String(day).padStart(2, '0')}`);
    const entries = fc.array(fc.record({ validFrom: days, registered: fc.boolean() }), { maxLength: 4 });
    fc.assert(
      fc.property(entries, days, fc.boolean(), (stated, day, hasTax) => {
        const { rows, point, material } = workshop({
          settings: { salesTaxPercent: hasTax ? '25' : '0' },
          supplierPrice: onTop,
          pricePoint: { price: '25', taxInside: true },
          more: (book) => stated.forEach((entry) => book.add('taxRegistration', entry)),
        });
        // The naive model walks through the month day by day.
        let status = stated.length === 0 ? hasTax : ![...stated].sort(byDay)[0]?.registered;
        for (let each = 1; each <= Number(day.slice(8)); each += 1)
          for (const { validFrom, registered: now } of stated) if (Number(validFrom.slice(8)) === each) status = now;
        const evaluation = evaluated(rows, day);
        expect(amount(evaluation, `materialPrice/${material}/perBaseUnit`)).toBe(status ? '4' : '4.8');
        const beforeTax = status && hasTax ? '20' : '25';
        expect(amount(evaluation, `setPrice/${point}/beforeTax`)).toBe(beforeTax);
      }),
      { numRuns: 60 },
    );
  });

  it('on running costs counts likewise', () => {
    const rent = (tax: Fields, settings: Fields = {}) => {
      const { rows } = workshop({ runningCost: { amount: '600', ...tax }, settings });
      return amount(evaluated(rows), `runningCost/${rows.all('runningCost')[0]?.id ?? ''}/perMonth`);
    };
    expect(rent({ taxPercent: '20' })).toBe('720');
    expect(rent({ taxPercent: '20', taxInside: true }, registered)).toBe('500');
    expect(rent({})).toBe('600');
  });
});
