import type { EndingDirection, PriceEnding } from '@nuvar/book';
import { compared, type Decimal, decimal, ONE, roundToStep, subtracted } from '../number/index.js';

/** What prices of an ending have in common: each is a multiple of the step, moved by the offset. */
function gridOf(ending: Exclude<PriceEnding, 'none'>): { readonly step: Decimal; readonly offset: Decimal } {
  const multiple = multipleOf(ending);
  return multiple === null
    ? { step: ONE, offset: decimal(`0${ending}`) }
    : { step: decimal(multiple), offset: decimal(0) };
}

/** Of what an ending makes a price a multiple, such as "0.25"; null for one that names the last digits. */
export const multipleOf = (ending: PriceEnding): string | null =>
  ending.startsWith('nearest ') ? ending.slice('nearest '.length) : null;

/** True where prices with that ending can be paid in a currency whose smallest amount this is: there is no .99 in JPY. */
export function hasEnding(ending: PriceEnding, minorUnit: Decimal): boolean {
  if (ending === 'none') return true;
  const { step, offset } = gridOf(ending);
  return step.mod(minorUnit).isZero() && offset.mod(minorUnit).isZero();
}

/**
 * Brings a price as the customer sees it to an ending: ".99" makes 18.20 into 18.99 (up), 17.99 (down) or 17.99
 * (nearest; a tie goes up). "nearest 0.05" keeps to multiples of 0.05, and so on. Begins at the exact price: 8.481 is nearer to
 * 7.99 than to 8.99. Never below the smallest price with that ending: 0.40 down to .99 stays 0.99. An ending that the
 * currency lacks, whose smallest amount is `minorUnit`, counts as none, and the price comes back as it is.
 * Common practice of pricing; no source.
 *
 * @example priceEnding(decimal('18.20'), '.99', 'up', decimal('0.01')) → "18.99"
 */
export function priceEnding(
  price: Decimal,
  ending: PriceEnding,
  direction: EndingDirection,
  minorUnit: Decimal,
): Decimal {
  if (ending === 'none' || !hasEnding(ending, minorUnit)) return price;
  const { step, offset } = gridOf(ending);
  const above = roundToStep(price.minus(offset), step, 'up').plus(offset);
  const below = compared(above, price) === 0 ? above : above.minus(step);
  const lowest = offset.isZero() ? step : offset;
  if (compared(below, lowest) < 0) return compared(above, lowest) < 0 ? lowest : above;
  if (direction !== 'nearest') return direction === 'up' ? above : below;
  return compared(subtracted(above, price), subtracted(price, below)) <= 0 ? above : below;
}
