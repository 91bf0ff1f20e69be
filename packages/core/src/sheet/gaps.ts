import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const SHEET_GAPS = defineGaps({
  asking: {
    'override-does-not-fit': 'this trial value is not valid: {sentence}',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const sheetGap = gapMaker(SHEET_GAPS);
