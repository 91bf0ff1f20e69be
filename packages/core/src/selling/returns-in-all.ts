import { constant, difference, type Figure, multiplied, percentOf, quotient, sum } from '../figure/index.js';
import { HUNDRED } from '../number/index.js';
import { PERCENT } from '../quantity/index.js';
import type { Calculation } from '../sheet/index.js';
import { type SetPrice, setPrice } from './set-price.js';
import { pricePoint } from './price-point.js';
import { costOfDispatched } from './returns.js';
import { unitCostOf } from './unit-cost.js';

/** What returns make of a sale, for one unit dispatched. Null where nothing comes back. */
export interface ReturnsInAll {
  readonly returnCost: Figure | null;
  readonly perReturn: Figure | null;
  readonly feesKept: Figure | null;
  readonly costKept: Figure | null;
  readonly contributionPerKept: Figure | null;
  readonly profitPerKept: Figure | null;
  /** The tax inside the fees that is not recovered; null where there is none. */
  readonly feeTax: Figure | null;
}

const NONE = { returnCost: null, perReturn: null, feesKept: null, costKept: null };
const WHOLE = constant('All units dispatched', HUNDRED, PERCENT, 'definition');

/**
 * Returns in all = refunds expected + other cost of returns - variable cost of what comes back as new; of one return, that / the
 * rate. Fees kept = fees less those given back; results for a unit kept = results of a unit dispatched / the share that is kept.
 * The id is that of the price.
 */
export const returnsInAll: Calculation<ReturnsInAll> = {
  name: 'returnsInAll',
  meanings: {
    returnCost:
      'What returns cost in all, for each unit dispatched: refunds and handling, less what comes back of fees, as new and as scrap.',
    perReturn: 'What one return costs in all.',
    feesKept: 'Channel fees less what of them is given back for returns.',
    costKept: 'Variable cost of a unit dispatched, less what comes back as new.',
    contributionPerKept: 'What each unit that the customer keeps leaves for the running costs and for profit.',
    profitPerKept: 'What each unit that the customer keeps leaves after all costs.',
    feeTax: 'The tax in the channel fees that is not recovered.',
  },
  work(sheet, pointId) {
    const set = sheet.read(setPrice, pointId);
    const { sold, refunds } = set;
    const feeTax = taxInFees(set);
    const returns = sold?.terms.returns ?? null;
    if (sold === null || returns === null || refunds === null)
      return { ...NONE, contributionPerKept: null, profitPerKept: null, feeTax };
    const subject = sold.product.name;
    const named = (name: string) => ({ name, subject });
    const { changingCost } = unitCostOf(sheet, sold.product.id, sold.point.channelId);
    const costKept = costOfDispatched(changingCost, returns);
    const asNew = difference(named('Comes back as new'), changingCost, costKept);
    const out =
      set.returnsCost === null ? refunds : sum(named('Goes out for returns'), refunds.unit, [refunds, set.returnsCost]);
    const returnCost = difference(named('Returns in all'), out, asNew);
    const given = set.taken.flatMap(({ terms: { givenBack }, amount }) =>
      givenBack === null
        ? []
        : [percentOf(named('Fee given back'), returns.rate, percentOf('Given back', givenBack, amount))],
    );
    const back = sum(named('Fees given back'), set.fees.unit, given);
    const { contribution, profit } = sheet.read(pricePoint, pointId);
    const perKept = (name: string, figure: Figure) =>
      multiplied(named(name), figure, quotient('Dispatched for each unit kept', WHOLE, returns.kept));
    return {
      returnCost,
      perReturn: multiplied(
        named('One return'),
        returnCost,
        quotient('Dispatched for each return', WHOLE, returns.rate),
      ),
      feesKept: difference(named('Fees less given back'), set.fees, back),
      costKept,
      contributionPerKept: perKept('Contribution of a unit kept', contribution),
      profitPerKept: perKept('Profit of a unit kept', profit),
      feeTax,
    };
  },
};

/** Of each fee with a tax that is not recovered, what of it is that tax: fee - fee / (100 % + tax not recovered). */
function taxInFees({ taken, fees, sold }: SetPrice): Figure | null {
  const subject = sold?.product.name ?? '';
  const parts = taken.flatMap(({ terms: { withTax, name }, amount }) => {
    if (withTax === null || withTax.amount?.eq(HUNDRED) === true) return [];
    const untaxed = multiplied(
      { name: `${name} before tax`, subject },
      amount,
      quotient('Of it, before tax', WHOLE, withTax),
    );
    return [difference({ name: `Tax on ${name}`, subject }, amount, untaxed)];
  });
  return parts.length === 0 ? null : sum({ name: 'Tax in the fees', subject }, fees.unit, parts);
}
