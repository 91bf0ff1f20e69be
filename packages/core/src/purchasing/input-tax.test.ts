import { describe, expect, it } from 'vitest';
import { amount, DAY, evaluated, workshop } from '../testing/evaluated.js';

type Fields = Readonly<Record<string, unknown>>;

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
