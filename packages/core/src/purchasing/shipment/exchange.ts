import type { RowOf } from '@nuvar/book';
import { difference, type Figure, isWhole, missing, multiplied, sum } from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import { bookCurrency, dayIn, money, type Sheet } from '../../sheet/index.js';
import { exchangeRate } from '../exchange-rate.js';
import { purchasingGap } from '../gaps.js';

/** What is owed in a currency, and for what. */
export interface Owed {
  readonly amount: Figure;
  readonly currency: string;
  /** The rate at which it is recognised; null in the currency of the book. */
  readonly rate: Figure | null;
}

/** The rate of a row: the one that it states, else that of the book on a day; null in the currency of the book. */
export function statedRate<K extends 'shipment' | 'shipmentCharge' | 'shipmentPayment'>(
  sheet: Sheet,
  kind: K,
  row: RowOf<K>,
  field: keyof RowOf<K> & string,
  currency: string,
  day: string,
  subject: string,
): Figure | null {
  if (currency === bookCurrency(sheet)) return null;
  const leaf = { name: 'Exchange rate', subject, unit: money(sheet).per(unit(currency)) };
  if (row[field] !== null) return sheet.input(kind, row, field, leaf);
  const { rate } = sheet.read(exchangeRate, `${currency}@${day}`);
  if (rate.amount !== null) return rate;
  // Here it can be stated at once, for this row alone.
  const values = { currency, day: dayIn(sheet, day), bookCurrency: bookCurrency(sheet) };
  return missing(leaf, purchasingGap('no-exchange-rate', { kind, id: row.id, field }, values));
}

/** The rate that the customs publish for the buying currency of a shipment; null where none is stated, or for another. */
export const customsRate = (sheet: Sheet, shipment: RowOf<'shipment'>, currency: string): Figure | null =>
  shipment.customsRate === null || currency !== shipment.currency
    ? null
    : sheet.input('shipment', shipment, 'customsRate', {
        name: 'Customs rate',
        subject: shipment.name,
        unit: money(sheet).per(unit(currency)),
      });

/** An amount in the currency of the book. */
export const inBookCurrency = (sheet: Sheet, called: string, subject: string, { amount, rate }: Owed): Figure =>
  rate === null ? amount : multiplied({ name: `${called}, ${bookCurrency(sheet)}`, subject }, amount, rate);

/**
 * What something owed in a currency costs in the currency of the book: the part that was paid ahead at the rate of each
 * payment (IFRIC 22), the rest at the rate of recognition. Gap: more was paid ahead than is owed.
 */
export function recognised(
  sheet: Sheet,
  called: string,
  subject: string,
  owed: Owed,
  payments: readonly RowOf<'shipmentPayment'>[],
): Figure {
  const ahead = payments.filter(({ timing, amount }) => timing === 'ahead' && amount !== null);
  if (owed.rate === null || ahead.length === 0) return inBookCurrency(sheet, called, subject, owed);
  const [firstAhead] = ahead as [RowOf<'shipmentPayment'>];
  const paid = ahead.map((payment) => paidAmount(sheet, payment, owed.currency, subject));
  const rest = difference(
    { name: 'Rest', subject },
    owed.amount,
    sum({ name: 'Paid ahead', subject }, unit(owed.currency), paid),
  );
  const name = { name: `${called}, ${bookCurrency(sheet)}`, subject };
  if (rest.amount?.isNegative()) {
    const place = { kind: 'shipmentPayment', id: firstAhead.id, field: 'amount' } as const;
    return missing({ ...name, unit: money(sheet) }, purchasingGap('paid-more-than-owed', place, { subject }), [rest]);
  }
  const paidInBook = ahead.map((payment, index) =>
    inBookCurrency(sheet, 'Paid ahead', subject, {
      amount: paid[index] as Figure,
      currency: owed.currency,
      rate: rateOfPayment(sheet, payment, owed.currency, subject),
    }),
  );
  // Nothing is left that would need a rate of its own.
  if (isWhole(rest) && rest.amount.isZero()) return sum(name, money(sheet), paidInBook);
  const restInBook = inBookCurrency(sheet, 'Rest', subject, { ...owed, amount: rest });
  return sum(name, money(sheet), [...paidInBook, restInBook]);
}

/**
 * What was gained (+) or lost (-) between recognition and settlement: amount paid x (rate of recognition - rate of the
 * payment). It goes to profit or loss, never into stock (IAS 21.28). Null where nothing was settled in another currency.
 * Gap, in any currency: more was paid in all than is owed.
 */
export function exchangeDifference(
  sheet: Sheet,
  subject: string,
  { amount, currency, rate }: Owed,
  payments: readonly RowOf<'shipmentPayment'>[],
): Figure | null {
  const paid = payments.filter((payment) => payment.amount !== null);
  const last = paid.at(-1);
  if (last === undefined) return null;
  const amounts = paid.map((payment) => paidAmount(sheet, payment, currency, subject));
  const rest = difference({ name: 'Rest', subject }, amount, sum({ name: 'Paid', subject }, unit(currency), amounts));
  if (rest.amount?.isNegative()) {
    const place = { kind: 'shipmentPayment', id: last.id, field: 'amount' } as const;
    const called = { name: 'Exchange difference', subject, unit: money(sheet) };
    return missing(called, purchasingGap('paid-more-than-owed', place, { subject }), [rest]);
  }
  const settled = paid.filter(({ timing }) => timing === 'at settlement');
  if (rate === null || settled.length === 0) return null;
  const gains = settled.map((payment) => {
    const atPayment = rateOfPayment(sheet, payment, currency, subject) as Figure;
    const change = difference({ name: 'Change of the rate', subject }, rate, atPayment);
    return multiplied({ name: 'Exchange difference', subject }, paidAmount(sheet, payment, currency, subject), change);
  });
  return sum({ name: 'Exchange difference', subject }, money(sheet), gains);
}

const paidAmount = (sheet: Sheet, payment: RowOf<'shipmentPayment'>, currency: string, subject: string): Figure =>
  sheet.input('shipmentPayment', payment, 'amount', {
    name: payment.timing === 'ahead' ? 'Paid ahead' : 'Paid at settlement',
    subject,
    unit: unit(currency),
  });

const rateOfPayment = (sheet: Sheet, payment: RowOf<'shipmentPayment'>, currency: string, subject: string) =>
  statedRate(sheet, 'shipmentPayment', payment, 'rate', currency, payment.date, subject);
