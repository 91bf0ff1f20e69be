import { type Figure, multiplied, sum } from '../figure/index.js';
import { productOverhead, productOverheadBy } from '../overhead/index.js';
import { plannedUnits, productCost } from '../production/index.js';
import type { Calculation } from '../sheet/index.js';

/** A product with its share of the running costs. */
export interface FullCost {
  readonly overhead: Figure;
  readonly fullCost: Figure;
}

/** Full cost of a good unit = cost before overhead + its overhead by the method of the book. */
export const fullCost: Calculation<FullCost> = {
  name: 'fullCost',
  meanings: {
    overhead: 'The share of the running costs in one unit (absorbed overhead).',
    fullCost: 'What one good unit costs with its share of the running costs (full cost).',
  },
  work(sheet, productId) {
    const { variableCost } = sheet.read(productCost, productId);
    const { total } = sheet.read(productOverhead, productId);
    const { subject } = variableCost;
    return {
      overhead: total,
      fullCost: sum({ name: 'Full cost', subject }, variableCost.unit, [variableCost, total]),
    };
  },
};

/** The same by any method; the id is "product@method". */
export const fullCostBy: Calculation<FullCost> = {
  name: 'fullCostBy',
  meanings: {
    overhead: 'The share of the running costs in one unit under this method.',
    fullCost: 'What one good unit costs under this method.',
  },
  work(sheet, id) {
    const { variableCost } = sheet.read(productCost, id.split('@')[0] ?? '');
    const { total } = sheet.read(productOverheadBy, id);
    const { subject } = variableCost;
    return {
      overhead: total,
      fullCost: sum({ name: 'Full cost', subject }, variableCost.unit, [variableCost, total]),
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
