import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const SELLING_GAPS = defineGaps({
  asking: {
    'no-selling-price': 'no price set yet for {subject}',
    'no-target': 'no target typed yet for {subject}',
  },
  stated: {
    'price-is-typed': 'the price of {subject} is typed, so none is suggested',
    'target-out-of-reach':
      'no price reaches this: as the price grows, the margin comes near {limit} % and never gets there',
    'any-price-reaches-target': 'any price reaches this target, so none is suggested',
    'discount-leaves-nothing': 'no price reaches this: the discount leaves nothing of any price',
    'discount-eats-all': 'no number of units earns the same: at this discount nothing is left of a sale',
  },
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const sellingGap = gapMaker(SELLING_GAPS);
