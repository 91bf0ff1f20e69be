import type { EndingDirection, PriceEnding } from '@nuvar/book';
import { priceEnding } from '../money/index.js';
import { compared, type Decimal } from '../number/index.js';
import type { PriceRange } from './fees/reached.js';

/**
 * The list price with an ending that reaches a target. It begins at the exact price by its direction; where that falls short
 * of the target, it is the lowest price with that ending within the ranges that reach it. Null where none of them holds one.
 * `minorUnit` is the smallest amount of the currency, which has to have the ending.
 */
export function endedPrice(
  exact: Decimal,
  ranges: readonly PriceRange[],
  ending: PriceEnding,
  direction: EndingDirection,
  minorUnit: Decimal,
): Decimal | null {
  const isWithin = (price: Decimal, { from, upTo }: PriceRange) =>
    compared(price, from) >= 0 && (upTo === null || compared(price, upTo) <= 0);
  const first = priceEnding(exact, ending, direction, minorUnit);
  if (ranges.some((range) => isWithin(first, range))) return first;
  const next = ranges.map((range) => ({ range, price: priceEnding(range.from, ending, 'up', minorUnit) }));
  return next.find(({ range, price }) => isWithin(price, range))?.price ?? null;
}
