import { UNITS, unitOfMeasure } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { convert } from './convert.js';
import { ownWay, unitsWithin } from './own-ways.js';
import { NUMBER, unit } from './unit.js';

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
    ['1', 'yd²', 'm²', '0.83612736'],
    ['1', 'US qt', 'l', '0.946352946'],
    ['1', 'US cup', 'ml', '236.5882365'],
    ['3', 'US tsp', 'US tbsp', '1'],
    ['2', 'imp pt', 'imp qt', '1'],
    ['1', 'US ton', 'kg', '907.18474'],
    ['1', 'imp ton', 'kg', '1016.0469088'],
    ['1', 'kWh', 'MJ', '3.6'],
    ['16', 'oz', 'lb', '1'],
    ['128', 'US fl oz', 'US gal', '1'],
    ['160', 'imp fl oz', 'imp gal', '1'],
    ['90', 'min', 'h', '1.5'],
    ['2', 'dozen', 'each', '24'],
    ['1', 'mi', 'm', '1609.344'],
    ['1760', 'yd', 'mi', '1'],
    ['1', 'grain', 'mg', '64.79891'],
    ['7000', 'grain', 'lb', '1'],
    ['480', 'grain', 'oz t', '1'],
    ['1', 'oz t', 'g', '31.1034768'],
    ['1', 'in³', 'ml', '16.387064'],
    ['1728', 'in³', 'ft³', '1'],
    ['27', 'ft³', 'yd³', '1'],
    ['12', 'board ft', 'ft³', '1'],
    ['231', 'in³', 'US gal', '1'],
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

describe('conversions of an item of its own', () => {
  const egg = { unit: 'each', equalUnit: 'g' };
  const milk = { unit: 'l', equalUnit: 'kg' };

  it('join kinds of measure, one after the other where it takes several, in both directions', () => {
    expect(ownWay('dozen', 'kg', [egg])).toEqual([{ conversion: egg, isForward: true }]);
    expect(ownWay('lb', 'each', [egg])).toEqual([{ conversion: egg, isForward: false }]);
    expect(ownWay('each', 'ml', [milk, egg])).toEqual([
      { conversion: egg, isForward: true },
      { conversion: milk, isForward: false },
    ]);
    expect(ownWay('g', 'kg', [])).toEqual([]);
    expect(ownWay('each', 'm', [egg, milk])).toBeNull();
  });

  it('open every unit of the kinds that they join', () => {
    expect(unitsWithin('kg', [egg])).toEqual(expect.arrayContaining(['oz', 'dozen', 'pair']));
    expect(unitsWithin('kg', [egg])).not.toContain('l');
  });
});
