import { Decimal, decimal, roundToStep } from '../number/index.js';
import { minorDigits, minorUnit } from './minor-units.js';

/**
 * A price moved by an amount of money and brought to whole minor units, never below zero: ("19.50", "0.10", EUR) →
 * "19.60". For a handle that is dragged or stepped.
 *
 * @example steppedPrice('19.50', '0.10', 'EUR') → "19.60"
 */
export function steppedPrice(price: string, by: string, currency: string): string {
  const moved = roundToStep(decimal(price).plus(by), minorUnit(currency), 'half-away-from-zero');
  return Decimal.max(moved, 0).toFixed(minorDigits(currency));
}
