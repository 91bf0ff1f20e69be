import { constant, difference, type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { type Calculation, money, ORDER } from '../sheet/index.js';
import { orderUse } from './driver-uses.js';
import { ordersPerUnit } from './driver-takings.js';
import { methodOfTheBook } from './methods/index.js';
import { lotsOfMethod, overheadLot } from './shared-out.js';

/** By how much a unit bears more (+) or less (-) of what comes with each order, in a channel, than on average. */
export interface OrderSizeDifference {
  /** Null where the product bears nothing of what comes with orders, or all its channels order alike. */
  readonly variable: Figure | null;
  readonly fixed: Figure | null;
}

/**
 * What comes with each order goes by the order size of the channel: cost of an order x (1 / units an order there - orders a unit
 * on average over the planned units). The differences of all planned units sum to nothing. The id is "product@channel",
 * or "product@channel@units" for an order of so many.
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
    const named = (name: string) => ({ name, subject: product.name });
    const perUnit = unit(product.outputUnit);
    const leaf = { name: 'Units per order', subject: channel.name, unit: perUnit.per(ORDER) };
    const size =
      units === undefined
        ? sheet.input('channel', channel, 'unitsPerOrder', leaf)
        : constant(leaf.name, units, leaf.unit, 'units of the order looked at');
    const one = constant('One unit', '1', NUMBER, 'definition');
    const more = difference(
      named('Orders more per unit'),
      quotient(named(`Orders per unit at ${channel.name}`), one, size),
      average,
    );
    if (more.amount?.isZero()) return { variable: null, fixed: null };
    const methodId = methodOfTheBook(sheet);
    const of = (isVariable: boolean): Figure | null => {
      const parts = sheet
        .read(lotsOfMethod, methodId)
        .filter((lot) => lot.isVariable === isVariable)
        .flatMap((lot) =>
          lot.bearings.flatMap(({ driver, label }) => {
            const perOrder = orderUse(sheet, productId, driver);
            if (perOrder === null) return [];
            const { rate } = sheet.read(overheadLot, `${methodId}@${lot.id}`);
            return [multiplied(named(label), multiplied(named('Cost of an order'), rate, perOrder), more)];
          }),
        );
      return parts.length === 0 ? null : sum(named('Orders of this size'), money(sheet).per(perUnit), parts);
    };
    return { variable: of(true), fixed: of(false) };
  },
};
