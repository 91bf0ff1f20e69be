import { difference, type Figure, percentOf, quotient, sum } from '../figure/index.js';
import { batch, type LineCost, lineCosts, lineTotal, otherCost } from '../production/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../sheet/index.js';
import { cardSubtotals } from './card-subtotals.js';

/** What losses cost one good unit. */
export interface LossCost {
  readonly lineLoss: Figure;
  readonly yieldLoss: Figure;
  readonly total: Figure;
}

/**
 * Cost of losses = unit cost - the same unit cost at no loss and full yield; first what is lost of the lines' inputs, then
 * what does not come out good. Loss of a line = its cost x loss %, since the loss is a share of the input. Loss by yield =
 * the batch's cost without line losses and without what is only spent on good units, / good units - the same / units
 * started. What was lost inside components stands on their own cards. Below zero where more comes out than was started.
 */
export const lossCost: Calculation<LossCost> = {
  name: 'lossCost',
  meanings: {
    lineLoss: 'What is lost of the materials and components on the way in costs each good unit.',
    yieldLoss: 'What the units that do not come out good cost each good one.',
    total: 'What all losses together cost each good unit.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? '';
    const named = (name: string) => ({ name, subject });
    const perBatch = money(sheet).per(BATCH);
    const perUnit = money(sheet).per(unit(row?.outputUnit ?? 'each'));
    const { good } = sheet.read(batch, productId);
    const isTyped = row?.costing === 'typed totals';
    const lines = isTyped ? [] : sheet.read(lineCosts, productId);
    const losses = lines.flatMap((line) => lostOf(sheet, line) ?? []);
    const lost = sum(named('Lost of the lines per batch'), perBatch, losses);
    const lineLoss =
      losses.length === 0 ? sum(named('Line losses'), perUnit, []) : quotient(named('Line losses'), lost, good);
    const yieldLoss =
      isTyped || row?.yieldPercent === '100'
        ? sum(named('Loss by yield'), perUnit, [])
        : lossByYield(sheet, productId, subject, lost, lines);
    return { lineLoss, yieldLoss, total: sum(named('Cost of losses'), perUnit, [lineLoss, yieldLoss]) };
  },
};

function lossByYield(
  sheet: Sheet,
  productId: string,
  subject: string,
  lost: Figure,
  lines: readonly LineCost[],
): Figure {
  const named = (name: string) => ({ name, subject });
  const { started, good } = sheet.read(batch, productId);
  const kept = difference(
    named('Batch without line losses'),
    sheet.read(cardSubtotals, productId).variableCostPerBatch,
    lost,
  );
  const onGood = sum(named('Spent on good units only'), kept.unit, spentOnGoodUnits(sheet, productId, lines));
  const base = difference(named('Spent on all units started'), kept, onGood);
  return difference(
    named('Loss by yield'),
    quotient(named('Over the good units'), base, good),
    quotient(named('Over the units started'), base, started),
  );
}

/** What is lost of a line's input costs one batch; null where nothing is. */
function lostOf(sheet: Sheet, cost: LineCost): Figure | null {
  const { line } = cost.quantity;
  if (line.lossPercent === '0') return null;
  const total = lineTotal(sheet, cost);
  const loss = sheet.input('billLine', line, 'lossPercent', { name: 'Loss', subject: total.subject, unit: PERCENT });
  return percentOf({ name: 'Lost per batch', subject: total.subject }, loss, total);
}

/** What a batch spends on good units only, with nothing lost of the lines: packaging, mostly. */
function spentOnGoodUnits(sheet: Sheet, productId: string, lines: readonly LineCost[]): Figure[] {
  const ofLines = lines
    .filter(({ quantity }) => quantity.line.basis === 'good unit')
    .map((line) => {
      const total = lineTotal(sheet, line);
      const lost = lostOf(sheet, line);
      return lost === null ? total : difference({ name: 'Cost without loss', subject: total.subject }, total, lost);
    });
  const others = sheet
    .rowsOf('otherCost', 'productId', productId)
    .filter((row) => row.basis === 'unit')
    .map((row) => sheet.read(otherCost, row.id).perBatch);
  return [...ofLines, ...others];
}
