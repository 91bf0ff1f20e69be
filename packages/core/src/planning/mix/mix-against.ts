import { difference, type Figure } from '../../figure/index.js';
import type { Calculation } from '../../sheet/index.js';
import { mixOutcome } from './mix-outcome.js';
import { withQuantities } from './mix-quantities.js';

/** How far one mix is from another. */
export interface MixAgainst {
  /** The goal of other quantities less that of the quantities tried by hand. */
  readonly gained: Figure;
  /** The reverse. */
  readonly ahead: Figure;
}

/** Other quantities against those tried by hand, by the goal of the plan; the id is "plan@12|30|0". */
export const mixAgainst: Calculation<MixAgainst> = {
  name: 'mixAgainst',
  meanings: {
    gained: 'What these quantities reach of the goal above those tried by hand.',
    ahead: 'What the quantities tried by hand reach of the goal above these.',
  },
  work(sheet, id) {
    const [planId = ''] = id.split('@');
    const then = sheet.read(mixOutcome, id).goal;
    const now = sheet.read(mixOutcome, planId).goal;
    return { gained: difference('Gained', then, now), ahead: difference('Ahead', now, then) };
  },
};

/** What one mix of a plan reaches of its goal above another one; the id is "plan@12|30|0@10|30|0". */
export const mixBeside: Calculation<{ readonly gained: Figure }> = {
  name: 'mixBeside',
  meanings: { gained: 'What these quantities reach of the goal above the others.' },
  work(sheet, id) {
    const [planId = '', quantities = '', others = ''] = id.split('@');
    const goalOf = (asked: string) => sheet.read(mixOutcome, withQuantities(planId, asked.split('|'))).goal;
    return { gained: difference('Gained', goalOf(quantities), goalOf(others)) };
  },
};

/** What one plan leaves after set-ups and extra above another, each by the quantities tried by hand; the id is "plan@other". */
export const mixPlansApart: Calculation<{ readonly apart: Figure }> = {
  name: 'mixPlansApart',
  meanings: { apart: 'What this plan leaves above the other one.' },
  work(sheet, id) {
    const [planId = '', otherId = ''] = id.split('@');
    return {
      apart: difference('Apart', sheet.read(mixOutcome, planId).profit, sheet.read(mixOutcome, otherId).profit),
    };
  },
};
