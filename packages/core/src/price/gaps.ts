import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack. */
export const PRICE_GAPS = defineGaps({
  asking: {
    'no-selling-price': 'no price set yet for {subject}',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const priceGap = gapMaker(PRICE_GAPS);
