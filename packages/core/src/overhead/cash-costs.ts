import { difference, type Figure, sum } from '../figure/index.js';
import { type Calculation, money, MONTH } from '../sheet/index.js';
import { wearOfAMonth } from './committed-period.js';
import { runningCost } from './running-cost.js';

/** What turns the fixed costs of a month into the cash of a month. */
export interface CashCosts {
  readonly notPaid: Figure;
  readonly repayments: Figure;
  /** Repayments less what is not paid: what is added to the fixed costs. */
  readonly more: Figure;
}

/**
 * The fixed costs of a month that are not paid in cash: running costs that are said not to be, and wear over years; and what is
 * paid back on loans. The fixed cost of a break-even in cash = fixed cost - not paid + repayments (common practice).
 */
export const cashCosts: Calculation<CashCosts> = {
  name: 'cashCosts',
  meanings: {
    notPaid: 'The fixed costs of a month that are not paid in cash: depreciation, wear over years.',
    repayments: 'What is paid back on loans in a month: cash, and no cost.',
    more: 'Repayments less what is not paid in cash.',
  },
  work(sheet) {
    const perMonth = money(sheet).per(MONTH);
    const running = sheet.all('runningCost').filter((row) => !row.paidInCash && row.behaviour !== 'variable');
    const notPaid = sum('Not paid in cash', perMonth, [
      ...running.map(({ id }) => sheet.read(runningCost, id).perMonth),
      ...sheet.all('equipment').flatMap((row) => wearOfAMonth(sheet, row)),
    ]);
    const leaf = { name: 'Loan repayments', unit: perMonth };
    const repayments = sheet.input('settings', sheet.settings(), 'repaymentsPerMonth', leaf);
    return { notPaid, repayments, more: difference('Cash beside the costs', repayments, notPaid) };
  },
};
