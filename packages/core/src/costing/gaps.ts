import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const COSTING_GAPS = defineGaps({
  asking: {
    'frozen-in-other-currency': '{subject} was saved in {currency}, and the book now uses another currency',
    'other-output-unit':
      '{subject} is counted by the {unit} and {other} by the {otherUnit}, so they cannot be compared',
    'no-batch-size': 'no batch size yet',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const costingGap = gapMaker(COSTING_GAPS);
