import { difference, type Figure, percentOf, quotient, sum } from '../figure/index.js';
import { batch, type CostItem, costItems, costRowOf, itemTotal } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../sheet/index.js';
import { cardSubtotals } from './card-subtotals.js';

/** What losses cost one good unit. */
export interface LossCost {
  readonly lineLoss: Figure;
  readonly yieldLoss: Figure;
  readonly total: Figure;
}

/**
 * Cost of losses = unit cost - the same unit cost at no waste and full yield; first waste is set to none at the actual
 * yield, then yield to full. Waste of a taking = its cost x the share of it that is wasted. Loss by yield = the batch's
 * cost without waste and without what is only spent on good units, / good units - the same / units started. What was lost
 * inside components stands on their own cards. Below zero where more comes out than was started.
 */
export const lossCost: Calculation<LossCost> = {
  name: 'lossCost',
  meanings: {
    lineLoss: 'What wasted materials and components add to the cost of each good unit.',
    yieldLoss: 'What units that do not come out good add to the cost of each good unit.',
    total: 'What all losses together add to the cost of each good unit.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const { good, outputUnit, productName: subject } = sheet.read(batch, productId);
    const named = (name: string) => ({ name, subject });
    const perUnit = money(sheet).per(unit(outputUnit));
    const items = sheet.read(costItems, productId);
    const wasted = items.flatMap((item) => wastedOf(sheet, item) ?? []);
    const waste = sum(named('Wasted per batch'), money(sheet).per(BATCH), wasted);
    const lineLoss =
      wasted.length === 0 ? sum(named('Cost of waste'), perUnit, []) : quotient(named('Cost of waste'), waste, good);
    const yieldLoss =
      row?.costing === 'typed totals' || row?.yieldPercent === '100'
        ? sum(named('Loss by yield'), perUnit, [])
        : lossByYield(sheet, productId, subject, waste, items);
    return { lineLoss, yieldLoss, total: sum(named('Cost of losses'), perUnit, [lineLoss, yieldLoss]) };
  },
};

function lossByYield(
  sheet: Sheet,
  productId: string,
  subject: string,
  waste: Figure,
  items: readonly CostItem[],
): Figure {
  const named = (name: string) => ({ name, subject });
  const { started, good } = sheet.read(batch, productId);
  const kept = difference(
    named('Batch without waste'),
    sheet.read(cardSubtotals, productId).variableCostPerBatch,
    waste,
  );
  const onGood = sum(
    named('Spent on good units only'),
    kept.unit,
    items.filter(({ taking }) => taking.basis === 'good unit').map((item) => withoutWaste(sheet, item)),
  );
  const base = difference(named('Spent on all units started'), kept, onGood);
  return difference(
    named('Loss by yield'),
    quotient(named('Over the good units'), base, good),
    quotient(named('Over the units started'), base, started),
  );
}

/** What is wasted of an item costs one batch; null where nothing is. */
function wastedOf(sheet: Sheet, item: CostItem): Figure | null {
  const waste = costRowOf(item.taking).waste?.(sheet, item.taking) ?? null;
  if (waste === null) return null;
  const total = itemTotal(sheet, item);
  return percentOf({ name: 'Wasted per batch', subject: total.subject }, waste, total);
}

function withoutWaste(sheet: Sheet, item: CostItem): Figure {
  const total = itemTotal(sheet, item);
  const wasted = wastedOf(sheet, item);
  return wasted === null ? total : difference({ name: 'Cost without waste', subject: total.subject }, total, wasted);
}
