import { UNITS, unitOfMeasure } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { convert, NUMBER, unit } from './index.js';

describe('units of measure', () => {
  // NIST SP 811 (2008), appendix B.8 and B.9, factors in bold (exact); imperial gallon: UK Weights and Measures Act 1985.
  it.each([
    ['1', 'lb', 'kg', '0.45359237'],
    ['1', 'oz', 'g', '28.349523125'],
    ['1', 'in', 'mm', '25.4'],
    ['1', 'ft', 'm', '0.3048'],
    ['1', 'yd', 'm', '0.9144'],
    ['1', 'ft²', 'm²', '0.09290304'],
    ['1', 'in²', 'cm²', '6.4516'],
    ['1', 'US gal', 'l', '3.785411784'],
    ['1', 'US pt', 'l', '0.473176473'],
    ['1', 'US fl oz', 'ml', '29.5735295625'],
    ['1', 'imp gal', 'l', '4.54609'],
    ['16', 'oz', 'lb', '1'],
    ['128', 'US fl oz', 'US gal', '1'],
    ['160', 'imp fl oz', 'imp gal', '1'],
    ['90', 'min', 'h', '1.5'],
    ['2', 'dozen', 'each', '24'],
  ])('%s %s is %s %s', (amount, from, to, expected) => {
    expect(convert(amount, from, to)?.toFixed()).toBe(expected);
  });

  it('knows no way between kinds of measure: an ounce of weight is no fluid ounce', () => {
    expect(convert('1', 'oz', 'US fl oz')).toBeNull();
    expect(convert('1', 'kg', 'l')).toBeNull();
    expect(convert('1', 'kg', 'stone')).toBeNull();
  });

  it('converts there and back to the same amount', () => {
    const codes = fc.constantFrom(...UNITS.map(({ code }) => code));
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000_000 }), codes, codes, (amount, from, to) => {
        const there = convert(String(amount), from, to);
        const fits = unitOfMeasure(from)?.dimension === unitOfMeasure(to)?.dimension;
        const back = there && convert(there.toFixed(), to, from);
        expect(back?.toSignificantDigits(28).toFixed()).toBe(fits ? String(amount) : undefined);
      }),
    );
  });
});

describe('units of figures', () => {
  it('are products of powers, the same object where they are the same unit', () => {
    const perKg = unit('EUR').per(unit('kg'));
    expect(perKg.text).toBe('EUR per kg');
    expect(perKg.times(unit('kg').per(unit('each')))).toBe(unit('EUR').per(unit('each')));
    expect(perKg.per(perKg)).toBe(NUMBER);
  });
});
