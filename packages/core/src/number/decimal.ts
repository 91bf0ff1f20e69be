import { Decimal as SharedDecimal } from 'decimal.js';

/** Core's own decimal: 34 significant digits (as IEEE 754 decimal128 has), half-even on the last of them. */
export const Decimal = SharedDecimal.clone({
  precision: 34,
  rounding: SharedDecimal.ROUND_HALF_EVEN,
  toExpNeg: -40,
  toExpPos: 40,
});
export type Decimal = SharedDecimal;

/** For totals that must not be rounded on the way: more digits than amounts of any book could ask for together. */
export const ExactDecimal = SharedDecimal.clone({ precision: 1000 });

export const ZERO = new Decimal(0);
export const ONE = new Decimal(1);
export const HUNDRED = new Decimal(100);

/** A decimal from the text of a row, a file or a constant. */
export function decimal(text: string | number): Decimal {
  return new Decimal(text);
}
