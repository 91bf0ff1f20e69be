import { type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { plannedSales, plannedUnits } from './planned-sales.js';
import { takings } from './takings.js';

/**
 * Good units of a product that the plan needs in an average month: what is sold of it, and what goes into the products whose
 * bill it is in, their losses included. Nothing of a product that is neither sold nor used is zero.
 */
export const plannedOutput: Calculation<{ units: Figure }> = {
  name: 'plannedOutput',
  meanings: { units: 'Good units that the plan needs in a month: those sold, and those that go into other products.' },
  work(sheet, productId) {
    const product = sheet.row('product', productId);
    const subject = product?.name ?? 'this product';
    const sold = plannedSales(sheet, productId).length === 0 ? [] : [plannedUnits(sheet, productId)];
    return {
      units: sum({ name: 'Planned output', subject }, unit(product?.outputUnit ?? 'each').per(MONTH), [
        ...sold,
        ...usedInOthers(sheet, productId),
      ]),
    };
  },
};

function usedInOthers(sheet: Sheet, productId: string): Figure[] {
  const users = new Set(sheet.rowsOf('billLine', 'componentId', productId).map((line) => line.productId));
  return [...users].flatMap((userId) => {
    const used = sheet.read(takings, userId).filter(({ of }) => of?.kind === 'product' && of.id === productId);
    // A product that contains itself takes nothing, and is not followed round.
    if (used.length === 0) return [];
    const { good, productName } = sheet.read(batch, userId);
    const output = sheet.read(plannedOutput, userId).units;
    return used.map(({ quantity }) => {
      const inUnit = quotient({ name: 'In one unit', subject: productName }, quantity, good);
      return multiplied({ name: 'Used in', subject: productName }, inUnit, output);
    });
  });
}
