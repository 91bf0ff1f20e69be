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

/** The smallest amount of a currency that can be paid: 0.01 for EUR, 1 for JPY. */
export function minorUnit(currency: string): Decimal {
  return decimal(10).pow(-minorDigits(currency));
}
