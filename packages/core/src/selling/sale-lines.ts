import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, multiplied, percentOf, shareOf } from '../figure/index.js';
import { plannedAt, productCost } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, ORDER, type Sheet } from '../sheet/index.js';
import { carriedBy, contributionOf, type NetProceeds, netProceedsAt } from './sale.js';
import { priceAtQuantity } from '../price/index.js';
import { saleTerms, type SaleTerms } from './sale-terms.js';
import { priceAfter, setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What the lines are for: one unit, an order of so many, or the planned month. */
export type SaleScale = 'unit' | 'month' | `order-${string}`;

/** What becomes of the price of a sale, from the list price to profit. Null for what there is nothing of. */
export interface SaleLines {
  readonly listPrice: Figure;
  readonly discount: Figure | null;
  readonly coupon: Figure | null;
  readonly tax: Figure;
  readonly beforeTax: Figure;
  readonly postageCharged: Figure | null;
  readonly refunds: Figure | null;
  readonly netRevenue: Figure;
  readonly fees: Figure;
  readonly packing: Figure | null;
  readonly postagePaid: Figure | null;
  readonly returnsCost: Figure | null;
  readonly afterFees: Figure;
  readonly materials: Figure;
  readonly labour: Figure;
  readonly other: Figure;
  readonly equipment: Figure;
  /** What of the variable cost is none of the elements: variable overhead, less what is committed. */
  readonly otherVariable: Figure | null;
  readonly asNew: Figure | null;
  readonly contribution: Figure;
  readonly fixed: Figure;
  /** On average; null where there are none. */
  readonly periodFees: Figure | null;
  readonly profit: Figure;
  readonly margin: Figure;
  readonly markup: Figure;
}

/** A price point, how it is looked at, and the fee that is asked for, of an id such as "point@unit" or "point@order-3@fee". */
export function saleOf(id: string): { readonly pointId: string; readonly scale: SaleScale; readonly feeId: string } {
  const [pointId = '', scale = 'unit', feeId = ''] = id.split('@');
  return { pointId, scale: scale as SaleScale, feeId };
}

interface Sale {
  readonly point: RowOf<'pricePoint'>;
  readonly product: RowOf<'product'>;
  readonly terms: SaleTerms;
  readonly listed: Figure;
  readonly proceeds: NetProceeds;
  /** How many units; null for one. */
  readonly times: Figure | null;
}

/** Of an order of so many, how many; null where the terms are those of the usual order. */
const unitsOfOrder = (scale: SaleScale): string | null =>
  scale.startsWith('order-') ? scale.slice('order-'.length) : null;

/** The sale of a price point on the terms of a unit, an order or a month; null where it is gone. */
function saleAt(sheet: Sheet, pointId: string, scale: SaleScale): Sale | null {
  const set = sheet.read(setPrice, pointId);
  if (set.sold === null) return null;
  const { point, product, terms: usual } = set.sold;
  const output = unit(product.outputUnit);
  if (scale === 'unit') return { point, product, terms: usual, listed: set.price, proceeds: set, times: null };
  if (scale === 'month')
    return { point, product, terms: usual, listed: set.price, proceeds: set, times: plannedAt(sheet, point) };
  const units = unitsOfOrder(scale) ?? '1';
  const channel = sheet.row('channel', point.channelId);
  if (channel === undefined) return null;
  const terms = saleTerms(sheet, product, channel, point, { units });
  const listed = priceAtQuantity(sheet, point, product, units) ?? set.listPrice;
  const proceeds = netProceedsAt(priceAfter(listed, terms, product.name), terms, product.name);
  const times = constant('Units of the order', units, output.per(ORDER), 'an order of so many');
  return { point, product, terms, listed, proceeds, times };
}

/**
 * All that becomes of a price: list price, less discount, coupon and tax, with the postage charged, less refunds, fees, packing,
 * postage, returns, the variable cost by element, and what the unit carries of fixed cost. For a unit of the channel's usual
 * order, for an order of so many units (order fees, packing and postage then over those, and the price of its quantity), or
 * for the planned units of a month. The id is "point@unit", "point@order-3" or "point@month".
 */
export const saleLines: Calculation<SaleLines> = {
  name: 'saleLines',
  meanings: {
    listPrice: 'The list price, as the customer sees it.',
    discount: 'What the standing discount takes off the list price.',
    coupon: "What the seller's part of a coupon takes off.",
    tax: 'The sales tax in the price.',
    beforeTax: 'The price without sales tax.',
    postageCharged: 'The postage that the customer pays, without sales tax.',
    refunds: 'What is expected to be refunded for returns.',
    netRevenue: 'Price and postage without sales tax, less what is refunded.',
    fees: 'All channel fees.',
    packing: 'Packing, with the work of it.',
    postagePaid: 'What the carrier is paid.',
    returnsCost: 'What returns cost beside the refund.',
    afterFees: 'What is left after all that the sale costs.',
    materials: 'Direct materials.',
    labour: 'Labour.',
    other: 'Other direct costs.',
    equipment: 'Energy, wear and upkeep of machines.',
    otherVariable: 'What else changes with a unit: variable overhead, less what of the elements is committed.',
    asNew: 'What comes back as new, at variable cost.',
    contribution: 'What is left for the running costs and for profit (contribution).',
    fixed: 'What is carried of costs that come whatever is sold: committed costs and fixed overhead.',
    periodFees: 'What is carried on average of the fees by the month, the day and the listing.',
    profit: 'What is left after all costs (profit).',
    margin: 'Profit in percent of the net revenue.',
    markup: 'Profit in percent of the full cost.',
  },
  work(sheet, id) {
    const { pointId, scale } = saleOf(id);
    const sale = saleAt(sheet, pointId, scale);
    if (sale === null) return noSale(sheet.read(setPrice, pointId).price);
    const { point, product, terms, listed, proceeds, times } = sale;
    const subject = product.name;
    const of = (figure: Figure) =>
      times === null ? figure : multiplied({ name: figure.name, subject: figure.subject }, figure, times);
    const maybe = (figure: Figure | null) => figure && of(figure);
    const cost = unitCostOf(sheet, product.id, point.channelId, unitsOfOrder(scale));
    const elements = sheet.read(productCost, product.id);
    const contribution = contributionOf(proceeds, cost, terms, subject);
    const profit = difference({ name: 'Profit', subject }, contribution, carriedBy(cost, terms, subject));
    const discounted =
      terms.keptAfterDiscount === null
        ? null
        : difference(
            { name: 'Discount', subject },
            listed,
            percentOf('Price after discount', terms.keptAfterDiscount, listed),
          );
    return {
      listPrice: of(listed),
      discount: maybe(discounted),
      coupon: maybe(terms.coupon?.own ?? null),
      tax: of(proceeds.tax),
      beforeTax: of(proceeds.beforeTax),
      postageCharged: maybe(proceeds.postageCharged),
      refunds: maybe(proceeds.refunds),
      netRevenue: of(proceeds.netRevenue),
      fees: of(proceeds.fees),
      packing: maybe(proceeds.packing),
      postagePaid: maybe(proceeds.postagePaid),
      returnsCost: maybe(proceeds.returnsCost),
      afterFees: of(proceeds.afterFees),
      materials: of(elements.directMaterials),
      labour: of(elements.labour),
      other: of(elements.other),
      equipment: of(elements.equipment),
      otherVariable: maybe(otherVariable(cost.changingCost, elements.variableCost, subject)),
      asNew: maybe(
        terms.returns?.asNew == null
          ? null
          : percentOf({ name: 'Comes back as new', subject }, terms.returns.asNew, cost.changingCost),
      ),
      contribution: of(contribution),
      fixed: of(cost.fixedInUnit),
      periodFees: maybe(terms.periodFee),
      profit: of(profit),
      margin: shareOf({ name: 'Margin', subject }, profit, proceeds.netRevenue),
      markup: shareOf({ name: 'Markup', subject }, profit, cost.fullCost),
    };
  },
};

/** What the variable cost of a unit is more, or below zero less, than its elements; null where it is just these. */
function otherVariable(changing: Figure, elements: Figure, subject: string): Figure | null {
  const rest = difference({ name: 'Other variable cost', subject }, changing, elements);
  return rest.amount?.isZero() === true ? null : rest;
}

function noSale(gone: Figure): SaleLines {
  const none = { discount: null, coupon: null, postageCharged: null, refunds: null, packing: null, postagePaid: null };
  const cost = { materials: gone, labour: gone, other: gone, equipment: gone, otherVariable: null, asNew: null };
  return {
    ...none,
    ...cost,
    listPrice: gone,
    tax: gone,
    beforeTax: gone,
    netRevenue: gone,
    fees: gone,
    returnsCost: null,
    afterFees: gone,
    contribution: gone,
    fixed: gone,
    periodFees: null,
    profit: gone,
    margin: gone,
    markup: gone,
  };
}

/** What one fee comes to in a sale; the id is that of the sale and of the fee, "point@unit@fee". */
export const saleFee: Calculation<{ amount: Figure | null }> = {
  name: 'saleFee',
  meanings: { amount: 'What this fee comes to.' },
  work(sheet, id) {
    const { pointId, scale, feeId } = saleOf(id);
    const sale = saleAt(sheet, pointId, scale);
    const found = sale?.proceeds.taken.find(({ terms }) => terms.id === feeId);
    if (sale === null || found === undefined) return { amount: null };
    const { amount } = found;
    const { times } = sale;
    return {
      amount: times === null ? amount : multiplied({ name: amount.name, subject: amount.subject }, amount, times),
    };
  },
};
