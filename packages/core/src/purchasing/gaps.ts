import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const PURCHASING_GAPS = defineGaps({
  asking: {
    'no-price': 'no price yet for {subject}',
    'no-standard-price': 'no standard price set yet for {subject}',
    'no-exchange-rate': 'no exchange rate yet from {currency} to {bookCurrency} on {day}',
    'no-pack-conversion':
      '{subject} is bought by the {from} and costed by the {to}, and there is no way yet from one to the other',
    'no-conversion-amount': 'how many {equalUnit} are {quantity} {unit} of {subject}?',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const purchasingGap = gapMaker(PURCHASING_GAPS);
