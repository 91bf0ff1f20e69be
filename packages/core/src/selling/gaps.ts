import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const SELLING_GAPS = defineGaps({
  asking: {
    'no-selling-price': 'no price set yet for {subject}',
    'no-fee-yet': 'no percentage or amount yet of the fee "{fee}"',
    'no-units-to-spread-over': 'no units yet that are sold in a {base} of "{fee}"',
    'no-target': 'no target yet for {subject}',
  },
  stated: {
    'beyond-last-band': 'the bands of "{fee}" end below this price',
    'price-is-typed': '{subject} has no target, so no price is suggested',
    'target-out-of-reach': 'no price reaches this target: the margin approaches {limit} % but never reaches it',
    'any-price-reaches-target': 'any price reaches this target, so none is suggested',
    'discount-leaves-nothing': 'no price reaches this target: the discount takes all of it',
    'discount-eats-all': 'no number of units earns the same: at this discount a sale leaves nothing',
  },
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const sellingGap = gapMaker(SELLING_GAPS);
