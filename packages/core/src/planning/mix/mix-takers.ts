import type { Figure } from '../../figure/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { mixUse } from './mix-use.js';
import { setUpHead } from './set-up-head.js';

/** A line of a plan that takes something of a resource, or of which that is not known. */
export interface MixTaker {
  /** The place of the line in its plan. */
  readonly place: number;
  readonly lineId: string;
  readonly perUnit: Figure;
  readonly forSetUp: Figure | null;
}

/** The lines that take something of a resource of a plan, by the id of the resource. A quantity that is tried does not move them. */
export const mixTakers: Calculation<readonly MixTaker[]> = {
  name: 'mixTakers',
  meanings: {},
  work(sheet, resourceId) {
    const planId = sheet.row('mixResource', resourceId)?.planId ?? '';
    return sheet.idsOf('mixProduct', 'planId', planId).flatMap((lineId, place) => {
      const { perUnit, forSetUp } = sheet.read(mixUse, `${lineId}@${resourceId}`);
      return perUnit.amount?.isZero() === true && forSetUp === null ? [] : [{ place, lineId, perUnit, forSetUp }];
    });
  },
};

/** Those of them by which a product is made: what a product in several channels takes is told by one of its lines. */
export const takersThatMake = (sheet: Sheet, resourceId: string): readonly MixTaker[] =>
  sheet.read(mixTakers, resourceId).filter(({ lineId }) => setUpHead(sheet, { id: lineId }) === lineId);
