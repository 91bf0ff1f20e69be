import { fullCost } from '../costing/index.js';
import { type Figure, sum } from '../figure/index.js';
import { productOverhead } from '../overhead/index.js';
import { committedCost } from '../production/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import type { UnitCost } from './sale.js';

/**
 * The full cost of a unit by its behaviour: what changes with each unit (cost before overhead without what is committed, and
 * variable running costs), and the rest (what is committed, and fixed overhead). Both together are the full cost.
 */
export const unitBehaviour: Calculation<Pick<UnitCost, 'changingCost' | 'fixedInUnit'>> = {
  name: 'unitBehaviour',
  meanings: {
    changingCost: 'What changes with each unit that is made and sold (variable cost).',
    fixedInUnit: 'What one unit carries of costs that come whatever is made: committed pay and wear, fixed overhead.',
  },
  work(sheet, productId) {
    const { perUnit: committed, changing } = sheet.read(committedCost, productId);
    const overhead = sheet.read(productOverhead, productId);
    const variable = [overhead.variableProduction, overhead.variableNonProduction].filter(isAny);
    const { subject, unit } = changing;
    const fixed = [committed, overhead.production, overhead.nonProduction].filter(isAny);
    return {
      changingCost:
        variable.length === 0 ? changing : sum({ name: 'Variable cost', subject }, unit, [changing, ...variable]),
      fixedInUnit:
        variable.length === 0 && !isAny(committed)
          ? overhead.total
          : sum({ name: 'Fixed cost in a unit', subject }, unit, fixed),
    };
  },
};

const isAny = ({ parts }: Figure) => parts.length > 0;

/** What one unit of a product costs, as the sale of it needs to know. */
export function unitCostOf(sheet: Sheet, productId: string): UnitCost {
  return { ...sheet.read(unitBehaviour, productId), fullCost: sheet.read(fullCost, productId).fullCost };
}
