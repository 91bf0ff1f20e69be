import { type Figure, multiplied, quotient, rounded, sum } from '../figure/index.js';
import { ONE } from '../number/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, MONTH } from '../sheet/index.js';
import { batch } from './batch.js';
import { plannedOutput, usedInOthers } from './planned-output.js';
import { plannedSales, plannedUnits } from './planned-sales.js';

/** The batches of a product in an average month, for the hours and materials that the plan needs. */
export interface PlannedBatches {
  readonly batches: Figure;
  /** Good units that come out of them. */
  readonly made: Figure;
}

/**
 * Batches of a product that the plan needs in an average month = good units wanted / good units in a batch. Where the book plans
 * in whole batches they are rounded up, and what goes into other products follows their whole batches.
 */
export const plannedBatches: Calculation<PlannedBatches> = {
  name: 'plannedBatches',
  meanings: {
    batches: 'How many batches the plan needs in an average month.',
    made: 'How many good units come out of these batches.',
  },
  work(sheet, productId) {
    const { good, productName: subject, outputUnit } = sheet.read(batch, productId);
    const perMonth = unit(outputUnit).per(MONTH);
    const named = (name: string) => ({ name, subject });
    const output = sheet.read(plannedOutput, productId).units;
    if (!sheet.settings().wholeBatches)
      return { batches: quotient(named('Batches a month'), output, good), made: output };
    const batches = rounded(
      named('Whole batches a month'),
      quotient(named('Batches a month'), wanted(), good),
      ONE,
      'up',
    );
    return { batches, made: multiplied(named('Made in whole batches'), batches, good) };

    function wanted(): Figure {
      if (sheet.row('product', productId)?.madePerMonth != null) return output;
      const sold = plannedSales(sheet, productId).length === 0 ? [] : [plannedUnits(sheet, productId)];
      const used = usedInOthers(sheet, productId, (userId) => sheet.read(plannedBatches, userId).made);
      return sum(named('Wanted a month'), perMonth, [...sold, ...used]);
    }
  },
};
