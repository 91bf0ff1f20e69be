/** What is usual in a country where nobody has said otherwise; by its code in a locale, "US" of "en-US". */

const regionOf = (locale: string): string => locale.split('-')[1] ?? '';

/** Where shops show prices before sales tax, and add it at the till: common practice, no source. */
const TAX_ON_TOP = ['US', 'CA'];

/** Whether prices are usually shown with the sales tax in them. */
export const pricesIncludeTaxIn = (locale: string): boolean => !TAX_ON_TOP.includes(regionOf(locale));

/** The unit by which what is weighed is usually bought and costed. */
export const usualMass = (locale: string): 'lb' | 'kg' => (regionOf(locale) === 'US' ? 'lb' : 'kg');

/** The currencies of the countries that a book may be in (ISO 4217); the euro is that of all others. */
const CURRENCIES: Readonly<Record<string, string>> = {
  GB: 'GBP',
  US: 'USD',
  CA: 'CAD',
  AU: 'AUD',
  NZ: 'NZD',
  IN: 'INR',
  ZA: 'ZAR',
  CH: 'CHF',
  BR: 'BRL',
  SE: 'SEK',
  DK: 'DKK',
  NO: 'NOK',
  PL: 'PLN',
  CZ: 'CZK',
  JP: 'JPY',
};

/** The currency of a country. */
export const usualCurrency = (locale: string): string => CURRENCIES[regionOf(locale)] ?? 'EUR';
