import { type Figure, sum } from '../figure/index.js';
import { productCost } from '../production/index.js';
import { BATCH, type Calculation, money } from '../sheet/index.js';

/** The subtotals that only a card shows: for a batch, and of a unit with all labour left out. */
export const cardSubtotals: Calculation<
  Readonly<Record<'directMaterialsPerBatch' | 'primeCostPerBatch' | 'variableCostPerBatch' | 'withoutLabour', Figure>>
> = {
  name: 'cardSubtotals',
  meanings: {
    directMaterialsPerBatch: 'Materials, landed add-on and packaging of one batch together.',
    primeCostPerBatch: 'Direct materials, labour and other direct costs of one batch.',
    variableCostPerBatch: 'What one batch costs before overhead.',
    withoutLabour: 'What one good unit costs before overhead and without labour.',
  },
  work(sheet, productId) {
    const cost = sheet.read(productCost, productId);
    const { subject } = cost.variableCost;
    const batchUnit = money(sheet).per(BATCH);
    const direct = sum({ name: 'Direct materials per batch', subject }, batchUnit, [
      cost.materialsPerBatch,
      cost.landedPerBatch,
      cost.packagingPerBatch,
    ]);
    const prime = sum({ name: 'Prime cost per batch', subject }, batchUnit, [
      direct,
      cost.labourPerBatch,
      cost.otherPerBatch,
    ]);
    return {
      directMaterialsPerBatch: direct,
      primeCostPerBatch: prime,
      variableCostPerBatch: sum({ name: 'Cost before overhead per batch', subject }, batchUnit, [
        prime,
        cost.equipmentPerBatch,
      ]),
      withoutLabour: sum({ name: 'Cost without labour', subject }, cost.variableCost.unit, [
        cost.directMaterials,
        cost.other,
        cost.equipment,
      ]),
    };
  },
};
