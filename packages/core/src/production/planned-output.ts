import { difference, type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { isInPlan, plannedSales, plannedUnits } from './planned-sales.js';
import { takings } from './takings.js';

/** What is made of a product in an average month. */
export interface PlannedOutput {
  readonly units: Figure;
  /** Without what goes into other products, which is counted with them. */
  readonly forItself: Figure;
}

/**
 * Good units of a product that are made in an average month: as many as are typed; else what is sold of it, and what goes into
 * the products whose bill it is in, their losses included. Nothing of a product that is neither made, sold nor used is zero.
 * For itself = made - what goes into other products: below zero where those are taken from stock.
 */
export const plannedOutput: Calculation<PlannedOutput> = {
  name: 'plannedOutput',
  meanings: {
    units: 'Good units that are made in a month: as typed, or those sold and those that go into other products.',
    forItself: 'Good units that are made in a month beside those that go into other products.',
  },
  work(sheet, productId) {
    const product = sheet.row('product', productId);
    const subject = product?.name ?? 'this product';
    const perMonth = unit(product?.outputUnit ?? 'each').per(MONTH);
    const used = usedInOthers(sheet, productId, (userId) => sheet.read(plannedOutput, userId).units);
    if (product !== undefined && product.madePerMonth !== null && isInPlan(product)) {
      const made = sheet.input('product', product, 'madePerMonth', { name: 'Made a month', subject, unit: perMonth });
      const inOthers = sum({ name: 'Used in others', subject }, perMonth, used);
      return {
        units: made,
        forItself: used.length === 0 ? made : difference({ name: 'Made for itself', subject }, made, inOthers),
      };
    }
    const sold = plannedSales(sheet, productId).length === 0 ? [] : [plannedUnits(sheet, productId)];
    return {
      units: sum({ name: 'Planned output', subject }, perMonth, [...sold, ...used]),
      forItself: sum({ name: 'Planned output for itself', subject }, perMonth, sold),
    };
  },
};

/** What of a product goes into others, by how much is made of these, their losses included. */
export function usedInOthers(sheet: Sheet, productId: string, outputOf: (userId: string) => Figure): Figure[] {
  const users = new Set(sheet.rowsOf('billLine', 'componentId', productId).map((line) => line.productId));
  return [...users].flatMap((userId) => {
    const used = sheet.read(takings, userId).filter(({ of }) => of?.kind === 'product' && of.id === productId);
    // A product that contains itself takes nothing, and is not followed round.
    if (used.length === 0) return [];
    const { good, productName } = sheet.read(batch, userId);
    const output = outputOf(userId);
    return used.map(({ quantity }) => {
      const inUnit = quotient({ name: 'In one unit', subject: productName }, quantity, good);
      return multiplied({ name: 'Used in', subject: productName }, inUnit, output);
    });
  });
}
