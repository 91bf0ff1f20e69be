import { constant, difference, type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { type Calculation, money, ORDER } from '../sheet/index.js';
import { orderUse } from './driver-uses.js';
import { ordersPerUnit } from './driver-takings.js';
import { methodOfTheBook } from './methods/index.js';
import { lotsOfMethod, overheadLot } from './shared-out.js';

/** What an order of a product brings of the running costs, however large it is. Null where it brings nothing. */
export interface CostOfOrder {
  readonly variable: Figure | null;
  readonly fixed: Figure | null;
}

/** Cost of an order = rate of each lot by the method of the book x what an order takes of its driver. The id is the product. */
export const costOfOrder: Calculation<CostOfOrder> = {
  name: 'costOfOrder',
  meanings: {
    variable: 'The variable running costs that each order brings.',
    fixed: 'The fixed running costs that each order is charged with.',
  },
  work(sheet, productId) {
    const subject = sheet.row('product', productId)?.name ?? '';
    const methodId = methodOfTheBook(sheet);
    const of = (isVariable: boolean): Figure | null => {
      const parts = sheet
        .read(lotsOfMethod, methodId)
        .filter((lot) => lot.isVariable === isVariable)
        .flatMap((lot) =>
          lot.bearings.flatMap(({ driver, label }) => {
            const taken = orderUse(sheet, productId, driver);
            if (taken === null) return [];
            return [multiplied({ name: label, subject }, sheet.read(overheadLot, `${methodId}@${lot.id}`).rate, taken)];
          }),
        );
      return parts.length === 0 ? null : sum({ name: 'Cost of an order', subject }, money(sheet).per(ORDER), parts);
    };
    return { variable: of(true), fixed: of(false) };
  },
};

/** By how much a unit bears more (+) or less (-) of what comes with each order, in a channel, than on average. */
export type OrderSizeDifference = CostOfOrder;

/**
 * What comes with each order goes by the order size of the channel: cost of an order x (1 / units an order there - orders a unit
 * on average over the planned units). The differences of all planned units sum to nothing. The id is "product@channel",
 * or "product@channel@units" for an order of so many. Null where nothing comes with orders, or all channels order alike.
 */
export const orderSizeDifference: Calculation<OrderSizeDifference> = {
  name: 'orderSizeDifference',
  meanings: {
    variable: 'How much more of the variable costs of orders a unit bears in this channel than on average.',
    fixed: 'How much more of the fixed costs of orders a unit bears in this channel than on average.',
  },
  work(sheet, id) {
    const [productId = '', channelId = '', units] = id.split('@');
    const [product, channel] = [sheet.row('product', productId), sheet.row('channel', channelId)];
    const average = ordersPerUnit(sheet, productId);
    if (product === undefined || channel === undefined || average === null) return { variable: null, fixed: null };
    const { variable, fixed } = sheet.read(costOfOrder, productId);
    if (variable === null && fixed === null) return { variable, fixed };
    const named = (name: string) => ({ name, subject: product.name });
    const leaf = { name: 'Units per order', subject: channel.name, unit: unit(product.outputUnit).per(ORDER) };
    const size =
      units === undefined
        ? sheet.input('channel', channel, 'unitsPerOrder', leaf)
        : constant(leaf.name, units, leaf.unit, 'units of the order looked at');
    const one = constant('One order', '1', NUMBER, 'definition');
    const more = difference(
      named('Orders more per unit'),
      quotient(named(`Orders per unit at ${channel.name}`), one, size),
      average,
    );
    if (more.amount?.isZero()) return { variable: null, fixed: null };
    const of = (perOrder: Figure | null) => perOrder && multiplied(named('Orders of this size'), perOrder, more);
    return { variable: of(variable), fixed: of(fixed) };
  },
};
