import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const OVERHEAD_GAPS = defineGaps({
  asking: {
    'no-running-amount': 'no amount yet for {subject}',
    'no-months': 'over how many months is {subject} spread?',
    'no-start': 'from which day does {subject} count?',
    'no-labour-hours': 'no labour hours yet to share the running costs by',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const overheadGap = gapMaker(OVERHEAD_GAPS);
