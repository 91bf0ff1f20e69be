import { constant, difference, type Figure, multiplied, quotient, shareOf, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, ORDER } from '../sheet/index.js';
import { contributionOf } from './sale.js';
import { setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What an order costs whatever is in it, and from what value on it is worth taking, or worth sending free. */
export interface OrderThresholds {
  readonly perOrder: Figure;
  readonly contributionShare: Figure;
  readonly smallestOrder: Figure;
  readonly advertisingBreakEven: Figure;
}

/**
 * Smallest order worth taking = what an order costs whatever is in it / contribution share: fees for each order, packing and
 * postage of it, less the postage charged, over what a unit leaves before them in percent of its price before tax. Where an
 * order is sent free the postage charged is zero: the same value is the threshold of free delivery. Break-even advertising =
 * contribution before advertising in percent of the price before tax.
 */
export const orderThresholds: Calculation<OrderThresholds> = {
  name: 'orderThresholds',
  meanings: {
    perOrder: 'What an order costs whatever is in it, if its delivery is free.',
    contributionShare: 'What a unit leaves before that, in percent of its price before tax.',
    smallestOrder: 'The value of goods before tax from which on an order with free delivery leaves something.',
    advertisingBreakEven: 'The advertising at which a sale leaves nothing, in percent of the price before tax.',
  },
  work(sheet, pointId) {
    const set = sheet.read(setPrice, pointId);
    const { sold, price } = set;
    const channel = sold && sheet.row('channel', sold.point.channelId);
    if (sold === null || channel === undefined || channel === null)
      return { perOrder: price, contributionShare: price, smallestOrder: price, advertisingBreakEven: price };
    const { product, terms } = sold;
    const subject = product.name;
    const named = (name: string) => ({ name, subject });
    const output = unit(product.outputUnit);
    const unitsPerOrder = sheet.input('channel', channel, 'unitsPerOrder', {
      ...{ name: 'Units per order', subject: channel.name, unit: output.per(ORDER) },
    });
    const orderFees = set.taken
      .filter(({ terms: { id } }) => sheet.row('feeRule', id)?.takenOf === 'order')
      .map(({ amount }) => amount);
    const ofOrder = [
      ...orderFees,
      ...(set.packing === null ? [] : [set.packing]),
      ...(set.postagePaid === null ? [] : [set.postagePaid]),
    ];
    const perUnit = sum(named('Costs of an order, per unit'), price.unit, ofOrder);
    const cost = unitCostOf(sheet, product.id, sold.point.channelId);
    const contribution = contributionOf(set, cost, terms, subject);
    const before = sum(named('Contribution before the costs of an order'), price.unit, [contribution, perUnit]);
    const withoutPostage =
      set.postageCharged === null
        ? before
        : difference(named('The same, without postage charged'), before, set.postageCharged);
    const contributionShare = shareOf(
      named('Contribution before the costs of an order, of the price'),
      withoutPostage,
      set.beforeTax,
    );
    const perOrder = multiplied(named('Costs of an order'), perUnit, unitsPerOrder);
    const advertising = set.taken
      .filter(({ terms: { purpose } }) => purpose === 'advertising')
      .map(({ amount }) => amount);
    const beforeAdvertising = sum(named('Contribution before advertising'), price.unit, [contribution, ...advertising]);
    return {
      perOrder,
      contributionShare,
      smallestOrder: quotient(named('Smallest order'), perOrder, asNumber(contributionShare)),
      advertisingBreakEven: shareOf(named('Break-even advertising'), beforeAdvertising, set.beforeTax),
    };
  },
};

const A_HUNDRED = constant('A hundred percent', '100', unit('%'), 'definition');

const asNumber = (percent: Figure): Figure => quotient('As a share of one', percent, A_HUNDRED);
