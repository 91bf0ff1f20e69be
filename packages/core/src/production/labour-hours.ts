import { type Figure, gap, missing, product, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, HOUR } from '../sheet/index.js';
import { batch } from './batch.js';
import { isInLoop } from './component-loops.js';
import { labourStepCost } from './labour-step-cost.js';
import { componentQuantities } from './line-quantity.js';
import { typedCosts } from './typed-costs.js';

/**
 * Labour hours in one good unit of a product, those inside its components included. Kept apart from its cost, so that
 * a price that changes does not move what is shared out by hours.
 */
export const labourHours: Calculation<{ perUnit: Figure }> = {
  name: 'labourHours',
  meanings: { perUnit: 'Paid labour hours in one good unit, with the hours that its components took.' },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? '';
    const perUnit = HOUR.per(unit(row?.outputUnit ?? 'each'));
    if (isInLoop(sheet, productId))
      return {
        perUnit: missing(
          { name: 'Labour hours per unit', subject, unit: perUnit },
          gap('component-loop', null, { subject }),
        ),
      };
    if (row?.costing === 'typed totals') return { perUnit: sheet.read(typedCosts, productId).hours };
    const own = sheet.idsOf('labourStep', 'productId', productId).map((id) => sheet.read(labourStepCost, id).hours);
    const inside = sheet.read(componentQuantities, productId).flatMap(({ line, item, perBatch }) => {
      if (item === null || perBatch === null) return [];
      const hours = sheet.read(labourHours, line.componentId ?? '').perUnit;
      return [product({ name: 'Hours inside', subject: item.name }, perBatch, hours)];
    });
    const perBatch = sum({ name: 'Labour hours per batch', subject }, HOUR.per(BATCH), [...own, ...inside]);
    return {
      perUnit: quotient({ name: 'Labour hours per unit', subject }, perBatch, sheet.read(batch, productId).good),
    };
  },
};
