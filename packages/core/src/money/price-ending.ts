import type { EndingDirection, PriceEnding } from '@nuvar/book';
import { type Decimal, decimal, ONE, roundToStep } from '../number/index.js';

/**
 * Brings a price as the customer sees it to an ending: ".99" makes 18.20 into 18.99 (up), 17.99 (down) or 17.99
 * (nearest; a tie goes up). "nearest 0.05" keeps to multiples of 0.05. Never below the ending itself: 0.40 down to .99
 * stays 0.99. Common practice of pricing; no source.
 */
export function priceEnding(price: Decimal, ending: PriceEnding, direction: EndingDirection): Decimal {
  if (ending === 'none') return price;
  const [step, offset] = ending === 'nearest 0.05' ? [decimal('0.05'), decimal(0)] : [ONE, decimal(`0${ending}`)];
  const above = roundToStep(price.minus(offset), step, 'up').plus(offset);
  const below = above.eq(price) ? above : above.minus(step);
  const lowest = offset.isZero() ? decimal(0) : offset;
  if (below.lt(lowest)) return above;
  if (direction === 'up') return above;
  if (direction === 'down') return below;
  return above.minus(price).lte(price.minus(below)) ? above : below;
}
