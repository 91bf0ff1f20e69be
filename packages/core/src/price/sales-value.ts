import type { RowOf } from '@nuvar/book';
import { type Figure, missing, multiplied, percentOf, quotient, sum, wholeOf } from '../figure/index.js';
import { plannedSales } from '../production/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { priceGap } from './gaps.js';
import { keptAfterDiscount, listPriceOf, THE_WHOLE } from './list-price.js';
import { priceAtQuantity } from './quantity-price.js';
import { salesTaxOf } from './sales-tax.js';

/**
 * What a unit of a product sells for before tax, after the standing discount and at the usual order of each channel: the mean of
 * its channels by planned units, or the price of its first channel where none is planned. Gap: no price where it is planned.
 */
export const salesValue: Calculation<{ perUnit: Figure }> = {
  name: 'salesValue',
  meanings: { perUnit: 'What one unit sells for before tax, on average over the planned units.' },
  work(sheet, productId) {
    const product = sheet.row('product', productId);
    const perUnit = money(sheet).per(unit(product?.outputUnit ?? 'each'));
    const called = { name: 'Sales value', subject: product?.name ?? '' };
    const place = { kind: 'product', id: productId, field: 'price' } as const;
    const noPrice = missing(
      { ...called, unit: perUnit },
      priceGap('no-selling-price', place, { subject: called.subject }),
    );
    if (product === undefined) return { perUnit: noPrice };
    const points = sheet.rowsOf('pricePoint', 'productId', productId);
    const planned = plannedSales(sheet, productId).map(({ channelId, units }) => {
      const point = points.find((each) => each.channelId === channelId) ?? points[0];
      return { units, price: point === undefined ? noPrice : priceBeforeTax(sheet, product, point) };
    });
    const [only] = planned;
    const [first] = points;
    const inAll = sum(
      { ...called, name: 'Planned units' },
      unit(product.outputUnit).per(MONTH),
      planned.map(({ units }) => units),
    );
    if (only === undefined || inAll.amount?.isZero())
      return { perUnit: first === undefined ? noPrice : priceBeforeTax(sheet, product, first) };
    if (planned.length === 1) return { perUnit: only.price };
    const sales = planned.map(({ units, price }) => multiplied({ ...called, name: 'Planned sales' }, price, units));
    const month = sum({ ...called, name: 'Planned sales' }, money(sheet).per(MONTH), sales);
    return { perUnit: quotient(called, month, inAll) };
  },
};

function priceBeforeTax(sheet: Sheet, product: RowOf<'product'>, point: RowOf<'pricePoint'>): Figure {
  const { name: subject } = product;
  const channel = sheet.row('channel', point.channelId);
  const listed = listPriceOf(sheet, point, product);
  const price =
    channel === undefined ? listed : (priceAtQuantity(sheet, point, product, channel.unitsPerOrder) ?? listed);
  const kept = keptAfterDiscount(sheet, product, point);
  const reduced = kept === null ? price : percentOf({ name: 'Price after discount', subject }, kept, price);
  if (!point.taxInside) return reduced;
  const withTax = sum('Price with tax', PERCENT, [THE_WHOLE, salesTaxOf(sheet, product, point)]);
  return wholeOf({ name: 'Price before tax', subject }, reduced, withTax);
}
