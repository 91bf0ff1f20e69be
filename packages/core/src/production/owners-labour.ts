import { type Figure, product, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, money } from '../sheet/index.js';
import { batch } from './batch.js';
import { isInLoop } from './component-loops.js';
import { labourStepCost } from './labour-step-cost.js';
import { componentQuantities } from './line-quantity.js';

/**
 * What the owner's own time in one good unit costs, that inside components included: a part of labour, shown beside it so
 * that it is never left out silently. Nothing in a quick product, which does not say whose labour it is.
 */
export const ownersLabour: Calculation<{ perUnit: Figure }> = {
  name: 'ownersLabour',
  meanings: { perUnit: "What the owner's own time in one good unit costs. It is a part of labour." },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const called = { name: "Owner's own time", subject: row?.name ?? '' };
    const perUnit = money(sheet).per(unit(row?.outputUnit ?? 'each'));
    if (row === undefined || row.costing === 'typed totals' || isInLoop(sheet, productId))
      return { perUnit: sum(called, perUnit, []) };
    const own = sheet
      .rowsOf('labourStep', 'productId', productId)
      .filter((step) => step.gradeId !== null && sheet.row('labourGrade', step.gradeId)?.ownersTime)
      .map((step) => sheet.read(labourStepCost, step.id).cost);
    const inside = sheet.read(componentQuantities, productId).flatMap(({ line, item, perBatch }) => {
      const cost = sheet.read(ownersLabour, line.componentId ?? '').perUnit;
      if (item === null || perBatch === null || cost.parts.length === 0) return [];
      return [product({ name: "Owner's time inside", subject: item.name }, perBatch, cost)];
    });
    const parts = [...own, ...inside];
    if (parts.length === 0) return { perUnit: sum(called, perUnit, []) };
    const total = sum({ ...called, name: "Owner's own time per batch" }, money(sheet).per(BATCH), parts);
    return { perUnit: quotient(called, total, sheet.read(batch, productId).good) };
  },
};
