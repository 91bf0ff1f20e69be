import { type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { costItems } from './product-cost.js';
import type { CostItem } from './taking.js';

/**
 * What the owner's own time in one good unit costs, that inside components included: a part of labour, shown beside it so
 * that it is never left out silently. Nothing in a quick product, which does not say whose labour it is.
 */
export const ownersLabour: Calculation<{ perUnit: Figure }> = {
  name: 'ownersLabour',
  meanings: { perUnit: "What the owner's own time in one good unit costs. It is a part of labour." },
  work(sheet, productId) {
    const { good, outputUnit, productName } = sheet.read(batch, productId);
    const called = { name: "Owner's own time", subject: productName };
    const parts = sheet.read(costItems, productId).flatMap((item) => ownersPart(sheet, item) ?? []);
    if (parts.length === 0) return { perUnit: sum(called, money(sheet).per(unit(outputUnit)), []) };
    const total = sum({ ...called, name: "Owner's own time per batch" }, money(sheet).per(BATCH), parts);
    return { perUnit: quotient(called, total, good) };
  },
};

/** What of an item is the owner's own time; null where none is. */
function ownersPart(sheet: Sheet, { taking: { of, quantity }, labour }: CostItem): Figure | null {
  if (of?.kind === 'labourGrade') return sheet.row('labourGrade', of.id)?.ownersTime ? labour : null;
  if (of?.kind !== 'product') return null;
  const inside = sheet.read(ownersLabour, of.id).perUnit;
  if (inside.parts.length === 0) return null;
  return multiplied({ name: "Owner's time inside", subject: of.name }, quantity, inside);
}
