import currencies from 'currency-codes';
import { type Decimal, decimal } from '../number/index.js';

/**
 * Digits after the point that a currency has, by ISO 4217 (JPY 0, EUR 2, KWD 3); 2 where the table has none.
 *
 * @example minorDigits('JPY') → 0
 */
export function minorDigits(currency: string): number {
  return currencies.code(currency)?.digits ?? 2;
}

const MINOR_UNITS = new Map<string, Decimal>();

/** The smallest amount of a currency that can be paid: 0.01 for EUR, 1 for JPY. */
export function minorUnit(currency: string): Decimal {
  const known = MINOR_UNITS.get(currency);
  if (known !== undefined) return known;
  const made = decimal(10).pow(-minorDigits(currency));
  MINOR_UNITS.set(currency, made);
  return made;
}
