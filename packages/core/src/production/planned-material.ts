import { type Figure, multiplied, ofMissingRow, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, MONTH } from '../sheet/index.js';
import { batch } from './batch.js';
import { plannedBatches } from './planned-batches.js';
import { plannedOutput } from './planned-output.js';
import { takings } from './takings.js';

/**
 * How much of a material the plan needs in an average month, in base units: over all products in whose bill it is, gross
 * quantity in a good unit x the good units that are made of the product, those for other products included; in whole batches
 * where the book plans so.
 */
export const plannedMaterial: Calculation<{ perMonth: Figure }> = {
  name: 'plannedMaterial',
  meanings: { perMonth: 'How much of the material the planned units of all products need in a month.' },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const perMonth = unit(material?.baseUnit ?? 'each').per(MONTH);
    if (material === undefined)
      return { perMonth: ofMissingRow({ name: 'Need in a month', unit: perMonth }, 'a material') };
    const users = new Set(sheet.rowsOf('billLine', 'materialId', materialId).map(({ productId }) => productId));
    const needs = [...users].flatMap((productId) => {
      const { good, productName: subject } = sheet.read(batch, productId);
      if (sheet.read(plannedOutput, productId).units.parts.length === 0) return [];
      const output = sheet.read(plannedBatches, productId).made;
      return sheet
        .read(takings, productId)
        .filter(({ of }) => of?.kind === 'material' && of.id === materialId)
        .map(({ quantity }) => {
          const inUnit = quotient({ name: `${material.name} in one unit`, subject }, quantity, good);
          return multiplied({ name: 'Needed for', subject }, inUnit, output);
        });
    });
    return { perMonth: sum({ name: 'Need in a month', subject: material.name }, perMonth, needs) };
  },
};
