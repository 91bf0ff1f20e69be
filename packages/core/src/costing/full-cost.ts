import { type Figure, multiplied, sum } from '../figure/index.js';
import { overhead, shareOfRunningCosts } from '../overhead/index.js';
import { labourHours, plannedUnits, productCost } from '../production/index.js';
import { type Calculation, WHOLE_BOOK } from '../sheet/index.js';

/** A product with its share of the running costs. */
export interface FullCost {
  readonly overhead: Figure;
  readonly fullCost: Figure;
}

/** Full cost of a good unit = variable cost + overhead rate x labour hours in it. */
export const fullCost: Calculation<FullCost> = {
  name: 'fullCost',
  meanings: {
    overhead: 'The share of the running costs in one unit (absorbed overhead).',
    fullCost: 'What one good unit costs with its share of the running costs (full cost).',
  },
  work(sheet, productId) {
    const { variableCost } = sheet.read(productCost, productId);
    const { subject } = variableCost;
    const called = { name: 'Overhead', subject };
    const { rate } = sheet.read(overhead, WHOLE_BOOK);
    const share = shareOfRunningCosts(sheet, called, rate, sheet.read(labourHours, productId).perUnit);
    return {
      overhead: share,
      fullCost: sum({ name: 'Full cost', subject }, variableCost.unit, [variableCost, share]),
    };
  },
};

/** What the planned units of a product carry of the running costs in a month: share of a unit x planned units. */
export const overheadPerMonth: Calculation<{ carried: Figure }> = {
  name: 'overheadPerMonth',
  meanings: {
    carried: 'The share of the running costs that the planned units of this product absorb in a month.',
  },
  work(sheet, productId) {
    const share = sheet.read(fullCost, productId).overhead;
    const called = { name: 'Share of running costs per month', subject: share.subject };
    return { carried: multiplied(called, share, plannedUnits(sheet, productId)) };
  },
};
