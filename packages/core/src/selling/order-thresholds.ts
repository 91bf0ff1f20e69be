import {
  choice,
  constant,
  difference,
  type Figure,
  missing,
  multiplied,
  percentOf,
  quotient,
  shareOf,
  sum,
} from '../figure/index.js';
import { costOfOrder } from '../overhead/index.js';
import { compared, ZERO } from '../number/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, ORDER, type Sheet } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { carriedBy, contributionOf, netProceedsAt, type UnitCost } from './sale.js';
import type { SaleTerms } from './sale-terms.js';
import { type SetPrice, setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What an order costs whatever is in it, and from what value on it is worth taking, or worth sending free. */
export interface OrderThresholds {
  /** With free delivery, and less what the postage charged brings. */
  readonly perOrder: Figure;
  readonly perOrderCharged: Figure;
  readonly contributionShare: Figure;
  readonly smallestOrder: Figure;
  readonly smallestWithTax: Figure;
  /** Where the customer pays the postage. */
  readonly smallestCharged: Figure;
  /** At the margin that is the target of the price; null where its target is no margin. */
  readonly smallestForMargin: Figure | null;
  readonly advertisingBreakEven: Figure;
}

/**
 * Smallest order worth taking = K / s. K is what an order costs whatever is in it: fees for each order less what of them is given
 * back for returns, packing of an order, postage, and running costs by the order; s is what a unit leaves before that, refunds
 * included, in percent of its price before tax. Sent free, no postage is charged and no fee taken of it: that value is the
 * threshold of free delivery. Charged, K is less what the postage brings after fees and refunds. For a margin m: K / (s - m), s
 * then after the fixed cost in a unit. None where a unit loses however large the order. Break-even advertising = contribution
 * before advertising in percent of the price before tax. Where the usual order reaches bands, minima or carrier rates that another
 * size does not, those of the usual order count.
 */
export const orderThresholds: Calculation<OrderThresholds> = {
  name: 'orderThresholds',
  meanings: {
    perOrder: 'What an order costs whatever is in it, if its delivery is free.',
    perOrderCharged: 'What an order costs whatever is in it, less what the postage charged brings.',
    contributionShare: 'What a unit leaves before that, in percent of its price before tax.',
    smallestOrder: 'The value of goods before tax from which on an order with free delivery leaves something.',
    smallestWithTax: 'The same value as the customer pays it, with sales tax.',
    smallestCharged:
      'The value of goods before tax from which on an order leaves something where its postage is charged.',
    smallestForMargin:
      'The value of goods before tax from which on an order with free delivery leaves the target margin.',
    advertisingBreakEven: 'The advertising at which a sale leaves nothing, in percent of the price before tax.',
  },
  work(sheet, pointId) {
    const set = sheet.read(setPrice, pointId);
    const { sold, price } = set;
    const channel = sold && sheet.row('channel', sold.point.channelId);
    if (sold === null || channel === undefined || channel === null) return noThresholds(price);
    const { product, terms, point } = sold;
    const subject = product.name;
    const named = (name: string) => ({ name, subject });
    const unitsPerOrder = sheet.input('channel', channel, 'unitsPerOrder', {
      name: 'Units per order',
      subject: channel.name,
      unit: unit(product.outputUnit).per(ORDER),
    });
    const cost = unitCostOf(sheet, product.id, point.channelId);
    const contribution = contributionOf(set, cost, terms, subject);
    const before = beforeOrderCosts(sheet, set, cost, unitsPerOrder);
    const ofOrder = (left: Figure, called: string) =>
      multiplied(
        named(called),
        difference(named('Costs of an order, per unit'), before.contribution, left),
        unitsPerOrder,
      );
    const sentFree = { ...terms, beside: { ...terms.beside, postage: null } };
    const leftFree = contributionOf(netProceedsAt(set.discounted, sentFree, subject), cost, terms, subject);
    const perOrder = ofOrder(leftFree, 'Costs of an order sent free');
    const perOrderCharged = ofOrder(contribution, 'Costs of an order, less postage charged');
    const share = (left: Figure) =>
      shareOf(named('Left before the costs of an order, of the price'), left, set.beforeTax);
    const contributionShare = share(before.contribution);
    const smallestOrder = smallest(named('Smallest order'), perOrder, contributionShare);
    const advertising = set.taken
      .filter(({ terms: { purpose } }) => purpose === 'advertising')
      .map(({ amount }) => amount);
    const beforeAdvertising = sum(named('Contribution before advertising'), price.unit, [contribution, ...advertising]);
    const isMargin = point.basis === 'margin' || point.basis === 'margin of the price';
    const wanted = isMargin
      ? sheet.input('pricePoint', point, 'target', { name: 'Target margin', subject, unit: unit('%') })
      : null;
    return {
      perOrder,
      perOrderCharged,
      contributionShare,
      smallestOrder,
      smallestWithTax: percentOf(named('Smallest order with tax'), terms.beside.priceWithTax, smallestOrder),
      smallestCharged: smallest(named('Smallest order, postage charged'), perOrderCharged, contributionShare),
      smallestForMargin:
        wanted &&
        smallest(
          named('Smallest order at the target margin'),
          perOrder,
          difference(named('Left beyond the margin'), share(before.profit), wanted),
        ),
      advertisingBreakEven: shareOf(named('Break-even advertising'), beforeAdvertising, set.beforeTax),
    };
  },
};

/** What a unit leaves before all that comes with an order: its fees, packing, postage both ways, and running costs by the order. */
function beforeOrderCosts(
  sheet: Sheet,
  { sold, discounted }: SetPrice,
  cost: UnitCost,
  unitsPerOrder: Figure,
): { readonly contribution: Figure; readonly profit: Figure } {
  const { product, terms } = sold as NonNullable<SetPrice['sold']>;
  const subject = product.name;
  const { variable, fixed } = sheet.read(costOfOrder, product.id);
  const without = (figure: Figure, perOrder: Figure | null) =>
    perOrder === null
      ? figure
      : difference(
          { name: `${figure.name}, without orders`, subject },
          figure,
          quotient({ name: 'Of an order, per unit', subject }, perOrder, unitsPerOrder),
        );
  const ofUnit: UnitCost = {
    ...cost,
    changingCost: without(cost.changingCost, variable),
    fixedInUnit: without(cost.fixedInUnit, fixed),
  };
  const termsOfUnit: SaleTerms = {
    ...terms,
    beside: { ...terms.beside, postage: null },
    fees: terms.fees.filter(({ id }) => sheet.row('feeRule', id)?.takenOf !== 'order'),
    packing: terms.packing.filter(({ isOfOrder }) => !isOfOrder),
    postagePaid: null,
  };
  const contribution = contributionOf(netProceedsAt(discounted, termsOfUnit, subject), ofUnit, terms, subject);
  const carried = carriedBy(ofUnit, terms, subject);
  return {
    contribution,
    profit: difference({ name: 'Profit before the costs of an order', subject }, contribution, carried),
  };
}

/** Costs of an order / what each unit of money of goods leaves: none where that is nothing, nothing where an order costs nothing. */
function smallest(called: { name: string; subject: string }, perOrder: Figure, share: Figure): Figure {
  const value = quotient(called, perOrder, asNumber(share));
  if (share.amount !== null && compared(share.amount, ZERO) <= 0)
    return missing({ ...called, unit: perOrder.unit }, sellingGap('each-unit-loses', null), [share]);
  if (perOrder.amount === null || compared(perOrder.amount, ZERO) > 0) return value;
  const none = constant('No smallest order', '0', perOrder.unit, 'an order costs nothing beside its units');
  return choice(called, none, 'the postage charged pays for all that an order costs');
}

const A_HUNDRED = constant('A hundred percent', '100', unit('%'), 'definition');

const asNumber = (percent: Figure): Figure => quotient('As a share of one', percent, A_HUNDRED);

const noThresholds = (gone: Figure): OrderThresholds => ({
  perOrder: gone,
  perOrderCharged: gone,
  contributionShare: gone,
  smallestOrder: gone,
  smallestWithTax: gone,
  smallestCharged: gone,
  smallestForMargin: null,
  advertisingBreakEven: gone,
});
