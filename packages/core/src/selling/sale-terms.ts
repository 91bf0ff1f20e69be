import type { RowOf } from '@nuvar/book';
import { choice, constant, difference, type Figure, sum } from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import type { Sheet } from '../sheet/index.js';
import { feeTermsOf, type FeeTerms } from './fees/fee-terms.js';

/** On what terms a product is sold in a channel: tax, and what the channel takes. */
export interface SaleTerms {
  readonly taxInside: boolean;
  /** The sales tax in percent of the price before tax. */
  readonly tax: Figure;
  /** 100 % and the tax: the price paid in percent of the price before tax. */
  readonly priceWithTax: Figure;
  readonly fees: readonly FeeTerms[];
  /** The share of the list price that is left after the standing discount, in percent; null where there is none. */
  readonly keptAfterDiscount: Figure | null;
}

export const THE_WHOLE = constant('The price before tax', '100', PERCENT, 'definition');

/** The terms of a product in a channel: the tax of its price where typed, else the book's. */
export function saleTerms(
  sheet: Sheet,
  product: RowOf<'product'>,
  channel: RowOf<'channel'>,
  point: RowOf<'pricePoint'> | undefined,
): SaleTerms {
  const settings = sheet.settings();
  const tax = taxOf(sheet, settings, point);
  return {
    taxInside: point?.taxInside ?? settings.pricesIncludeTax,
    tax,
    priceWithTax: sum('Price with tax', PERCENT, [THE_WHOLE, tax]),
    keptAfterDiscount: keptAfterDiscount(sheet, product, point),
    fees: feeTermsOf(sheet, channel, product),
  };
}

function keptAfterDiscount(
  sheet: Sheet,
  { name: subject }: RowOf<'product'>,
  point: RowOf<'pricePoint'> | undefined,
): Figure | null {
  if (point === undefined || point.discountPercent === '0') return null;
  const discount = sheet.input('pricePoint', point, 'discountPercent', { name: 'Discount', subject, unit: PERCENT });
  return difference('Share of the price that is left', THE_WHOLE, discount);
}

function taxOf(sheet: Sheet, settings: RowOf<'settings'>, point: RowOf<'pricePoint'> | undefined): Figure {
  if (point !== undefined && point.taxPercent !== null) {
    return choice(
      'Sales tax',
      sheet.input('pricePoint', point, 'taxPercent', { name: 'Sales tax of this price', unit: PERCENT }),
      'typed for this price',
    );
  }
  return choice(
    'Sales tax',
    sheet.input('settings', settings, 'salesTaxPercent', { name: 'Sales tax of the book', unit: PERCENT }),
    "the book's rate",
  );
}
