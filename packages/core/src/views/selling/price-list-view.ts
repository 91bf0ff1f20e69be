import { compared, decimal } from '../../number/index.js';
import { setPrice } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';

export interface PriceListRow {
  readonly product: string;
  readonly code: string;
  readonly gtin: string;
  readonly category: string;
  readonly unit: string;
  readonly price: string;
  readonly beforeTax: string;
  readonly paid: string;
  readonly taxPercent: string;
  readonly breaks: readonly { readonly from: string; readonly price: string }[];
  readonly coming: readonly { readonly from: string; readonly price: string }[];
}

/** The prices of a channel as a list to hand out; decimals and days as text. */
export interface PriceListView {
  readonly book: string;
  readonly channel: string;
  readonly currency: string;
  readonly locale: string;
  readonly asOf: string;
  readonly letterhead: string;
  readonly rows: readonly PriceListRow[];
}

/** The price list of a channel on the day of the evaluation, by category and name; null where there is no such channel. */
export function priceListView(evaluation: Evaluation, channelId: string): PriceListView | null {
  const { sheet } = evaluation;
  const channel = sheet.row('channel', channelId);
  if (channel === undefined) return null;
  const { name: book, currency, locale, letterhead } = sheet.settings();
  const rows = sheet.rowsOf('pricePoint', 'channelId', channelId).flatMap(({ id }) => rowOf(evaluation, id) ?? []);
  const order = (one: PriceListRow, other: PriceListRow) =>
    one.category.localeCompare(other.category, locale) || one.product.localeCompare(other.product, locale);
  return {
    book,
    currency,
    locale,
    letterhead,
    asOf: sheet.asOf,
    channel: channel.name,
    rows: [...rows].sort(order),
  };
}

function rowOf(evaluation: Evaluation, pointId: string): PriceListRow | null {
  const { sheet } = evaluation;
  const { sold, discounted, beforeTax, paid } = evaluation.read(setPrice, pointId);
  if (sold === null || sold.product.archived || discounted.amount === null) return null;
  const { name, code, gtin, category, outputUnit } = sold.product;
  const breaks = [...sheet.rowsOf('quantityBreak', 'pricePointId', pointId)].sort((one, other) =>
    compared(decimal(one.fromQuantity), decimal(other.fromQuantity)),
  );
  const coming = sheet.rowsOf('datedPrice', 'pricePointId', pointId).filter(({ startsOn }) => startsOn > sheet.asOf);
  return {
    product: name,
    code,
    gtin,
    category,
    unit: outputUnit,
    price: discounted.amount.toFixed(),
    beforeTax: beforeTax.amount?.toFixed() ?? '',
    paid: paid.amount?.toFixed() ?? '',
    taxPercent: sold.terms.tax.amount?.toFixed() ?? '',
    breaks: breaks.map(({ fromQuantity, price }) => ({ from: fromQuantity, price })),
    coming: [...coming]
      .sort((one, other) => (one.startsOn < other.startsOn ? -1 : 1))
      .map(({ startsOn, price }) => ({ from: startsOn, price })),
  };
}
