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

/** True above zero. Told by the sign, so that no zero has to be made to compare with. */
export const isPositive = (amount: Decimal): boolean => amount.isPositive() && !amount.isZero();

export const ZERO = new Decimal(0);
export const ONE = new Decimal(1);
export const HUNDRED = new Decimal(100);

/** Decimals that were made of a text before; quantities, prices and percentages of a book are mostly the same few. */
const known = new Map<string, Decimal>();
/** More than the different texts of most books. Where there are more, it begins anew. */
const MOST_KNOWN = 20_000;

/** A decimal from the text of a row, a file or a constant. Decimals never change: the same text gives the same one. */
export function decimal(text: string | number): Decimal {
  if (typeof text === 'number') return new Decimal(text);
  let made = known.get(text);
  if (made === undefined) {
    made = new Decimal(text);
    if (known.size === MOST_KNOWN) known.clear();
    known.set(text, made);
  }
  return made;
}
