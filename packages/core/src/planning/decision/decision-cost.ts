import type { FixedCostFate, RowOf } from '@nuvar/book';
import { constant, type Figure, missing, multiplied, ofMissingRow, percentOf } from '../../figure/index.js';
import { runningCost } from '../../overhead/index.js';
import { PERCENT } from '../../quantity/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../../sheet/index.js';
import { planningGap } from '../gaps.js';

/** A fixed cost that a decision is said to touch. */
export interface DecisionCostTerms {
  readonly amount: Figure;
  readonly fate: FixedCostFate;
}

const A_MONTH = constant('Of the order', '1', MONTH, 'a month of it');

/**
 * A fixed cost of a decision: as typed, else a share of the running cost; a month of it for an order that comes once. What becomes of
 * it is stated: it goes, it stays, or it comes on top. Gap: neither an amount nor a running cost.
 */
export const decisionCost: Calculation<DecisionCostTerms> = {
  name: 'decisionCost',
  meanings: { amount: 'A fixed cost that the decision is said to touch.' },
  work(sheet, id) {
    const row = sheet.row('decisionCost', id);
    const perMonth = money(sheet).per(MONTH);
    if (row === undefined)
      return { amount: ofMissingRow({ name: 'Fixed cost', unit: perMonth }, 'a decision'), fate: 'stays' };
    const leaf = { name: 'Fixed cost', subject: row.name, unit: perMonth };
    const place = { kind: 'decisionCost', id, field: 'amountPerMonth' } as const;
    const amount =
      row.amountPerMonth !== null
        ? sheet.input('decisionCost', row, 'amountPerMonth', leaf)
        : row.runningCostId === null
          ? missing(leaf, planningGap('no-decision-cost', place, { subject: row.name }))
          : shareOfRunningCost(sheet, row, row.runningCostId);
    const isOnce = sheet.row('decision', row.decisionId)?.type === 'special order';
    return {
      amount: isOnce ? multiplied({ name: 'Fixed cost', subject: row.name }, amount, A_MONTH) : amount,
      fate: row.fate,
    };
  },
};

function shareOfRunningCost(sheet: Sheet, row: RowOf<'decisionCost'>, runningCostId: string): Figure {
  const { perMonth } = sheet.read(runningCost, runningCostId);
  if (row.sharePercent === '100') return perMonth;
  const share = sheet.input('decisionCost', row, 'sharePercent', { name: 'Share', subject: row.name, unit: PERCENT });
  return percentOf({ name: 'Fixed cost', subject: row.name }, share, perMonth);
}
