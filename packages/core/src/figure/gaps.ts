import { defineGaps, gapMaker } from './gap.js';

/** What figures of this room still lack, and the results that it states in words. */
export const FIGURE_GAPS = defineGaps({
  asking: {
    'row-missing': 'something that {subject} needs is missing',
    'divided-by-nothing': '{name} cannot be worked out while {divisor} is zero',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const figureGap = gapMaker(FIGURE_GAPS);
