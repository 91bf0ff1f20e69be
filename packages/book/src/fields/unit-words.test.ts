import { describe, expect, it } from 'vitest';
import { UNITS, unitNamed, unitOfMeasure } from './index.js';

describe('the unit that a word names', () => {
  it('is every unit by its code, with or without capitals, in every country', () => {
    for (const { code } of UNITS)
      for (const region of ['US', 'AU', 'IE', 'DE', 'FR', '']) {
        expect(unitNamed(code, region), code).toBe(code);
        // A capital T is an American tablespoon.
        if (code !== 't') expect(unitNamed(` ${code.toUpperCase()} `, region), code).toBe(code);
      }
  });

  it.each([
    ['Kg', 'kg'],
    ['KG', 'kg'],
    ['Gramm', 'g'],
    ['grammes', 'g'],
    ['Liter', 'l'],
    ['litres', 'l'],
    ['Stück', 'each'],
    ['Stk.', 'each'],
    ['pièces', 'each'],
    ['Dutzend', 'dozen'],
    ['Std.', 'h'],
    ['heures', 'h'],
    ['Minuten', 'min'],
    ['sq ft', 'ft²'],
  ])('%s is %s, in English, German or French', (word, code) => {
    for (const region of ['US', 'IE', 'DE', 'FR']) expect(unitNamed(word, region)).toBe(code);
  });

  // Spoons and cups as they are sold in each country: common practice, no source. Gallons and pints: NIST Handbook 44,
  // appendix C, and the UK Weights and Measures Act 1985.
  it.each([
    ['tbsp', { US: '14.78676478125', GB: '15', AU: '20', DE: '15' }],
    ['tsp', { US: '4.92892159375', GB: '5', AU: '5', DE: '5' }],
    ['cups', { US: '236.5882365', GB: '250', AU: '250', DE: '250' }],
    ['pint', { US: '473.176473', GB: '568.26125', AU: '568.26125', IE: '568.26125' }],
    ['gallons', { US: '3785.411784', GB: '4546.09' }],
    ['fl. oz', { US: '29.5735295625', GB: '28.4130625' }],
    ['EL', { DE: '15', AT: '15' }],
    ['c. à s.', { FR: '15', BE: '15' }],
    ['T', { US: '14.78676478125', IE: '1000000' }],
  ])('%s is the measure of its country', (word, sizes) => {
    for (const [region, size] of Object.entries(sizes))
      expect(unitOfMeasure(unitNamed(word, region) ?? '')?.size, region).toBe(size);
  });

  it('is none for any other word', () => {
    for (const word of ['', 'slices', 'furlong', 'stone', 'constructor', 'ton', 'EUR'])
      expect(unitNamed(word, 'IE'), word).toBeUndefined();
  });
});
