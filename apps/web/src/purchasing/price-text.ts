import { fieldsOf, isCurrencyCode, type FieldSpec } from '@nuvar/book';
import type { Reading } from '../controls/grid/grid-model.js';
import { isRefusal, readField } from '../controls/fields/read-field.js';
import { typedText } from '../figures/format.js';

const PRICE = fieldsOf('supplierPrice').find(({ name }) => name === 'price') as FieldSpec;

interface Priced {
  readonly price: string | null;
  readonly currency: string;
}

/** A pack price as it is read: with its currency where that is not the book's. */
export function priceText({ price, currency }: Priced, bookCurrency: string, locale: string): string {
  if (price === null) return '';
  return currency === bookCurrency ? typedText(price, locale) : `${typedText(price, locale)} ${currency}`;
}

/** The currency of an amount stands behind it where it is not the book's, and is a column of its own in a file. */
export const currencyUnit = <Row>(
  bookCurrency: string,
  of: (row: Row) => Pick<Priced, 'currency'> | undefined,
  header: string,
) => ({
  of: (row: Row) => of(row)?.currency ?? bookCurrency,
  usual: bookCurrency,
  name: 'Currency',
  header,
});

/** The currency of a pack price. */
export const priceUnit = <Row>(bookCurrency: string, of: (row: Row) => Pick<Priced, 'currency'> | undefined) =>
  currencyUnit(bookCurrency, of, 'Price');

/** An amount that was read, with its currency where that was typed. */
type MoneyReading =
  | { readonly value: string | null; readonly currency: string | undefined; readonly shown: string }
  | { readonly refusal: string };

/** Reads an amount, "12.50" or "12.50 USD". A bare number is in the currency that its field shows. */
export function readMoneyText(spec: FieldSpec, text: string, locale: string, shown: string): MoneyReading {
  const [code] = /\b[A-Za-z]{3}\b/.exec(text) ?? [];
  const currency = code?.toUpperCase();
  if (currency !== undefined && !isCurrencyCode(currency)) return { refusal: `"${currency}" is not a currency code.` };
  const reading = readField(spec, code === undefined ? text : text.replace(code, ''), locale);
  if (isRefusal(reading)) return reading;
  const number = typedText(reading.shown, locale);
  return {
    value: reading.value as string | null,
    currency,
    shown: currency === undefined || currency === shown ? number : `${number} ${currency}`,
  };
}

/** Reads a pack price. */
export function readPriceText(text: string, locale: string, shown: string): Reading<Partial<Priced>> {
  const reading = readMoneyText(PRICE, text, locale, shown);
  if ('refusal' in reading) return reading;
  const { value: price, currency } = reading;
  return { patch: currency === undefined ? { price } : { price, currency }, shown: reading.shown };
}
