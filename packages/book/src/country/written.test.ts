import { describe, expect, it } from 'vitest';
import { LOCALES } from '../settings.js';
import { isCurrencyCode } from '../fields/index.js';
import { dayText, numberText, pricesIncludeTaxIn, usualCurrency, usualMass } from './index.js';

describe('a country', () => {
  // Patterns of the Unicode CLDR for short dates and decimal numbers.
  it.each([
    ['en-IE', '31/03/2026', '1,234.50'],
    ['en-US', '03/31/2026', '1,234.50'],
    ['de-DE', '31.03.2026', '1.234,50'],
    ['sv-SE', '2026-03-31', '1\u00a0234,50'],
  ])('%s writes days as %s and numbers as %s', (locale, day, number) => {
    expect(dayText('2026-03-31', locale)).toBe(day);
    expect(numberText('1234.50', locale)).toBe(number);
  });

  it('leaves alone what is no day, and keeps every digit of a number', () => {
    expect(dayText('spring', 'en-IE')).toBe('spring');
    expect(numberText('-0.123456789012', 'de-DE')).toBe('−0,123456789012');
    expect(numberText('7', 'en-IE')).toBe('7');
  });
});

describe('what is usual', () => {
  it('in the United States is to cost by the pound, and to add the tax on top', () => {
    expect([usualMass('en-US'), pricesIncludeTaxIn('en-US'), usualCurrency('en-US')]).toEqual(['lb', false, 'USD']);
    expect([usualMass('de-DE'), pricesIncludeTaxIn('de-DE'), usualCurrency('de-DE')]).toEqual(['kg', true, 'EUR']);
  });

  it('is a currency that a book can have, in every country', () => {
    for (const locale of LOCALES) expect(isCurrencyCode(usualCurrency(locale)), locale).toBe(true);
  });
});
