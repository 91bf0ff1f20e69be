import { fieldsOf, isCurrencyCode, type FieldSpec } from '@nuvar/book';
import type { Reading } from '../controls/grid-model.js';
import { isRefusal, readField } from '../controls/read-field.js';
import { typedText } from '../figures/format.js';

const PRICE = fieldsOf('supplierPrice').find(({ name }) => name === 'price') as FieldSpec;

interface Priced {
  readonly price: string | null;
  readonly currency: string;
}

/** A pack price as it is typed: with its currency where that is not the book's. */
export function priceText({ price, currency }: Priced, bookCurrency: string, locale: string): string {
  if (price === null) return '';
  return currency === bookCurrency ? typedText(price, locale) : `${typedText(price, locale)} ${currency}`;
}

/** Reads a pack price, "12.50" or "12.50 USD"; where no currency is typed, it stays what it was. */
export function readPriceText(text: string, locale: string): Reading<Partial<Priced>> {
  const [code] = /\b[A-Za-z]{3}\b/.exec(text) ?? [];
  const currency = code?.toUpperCase();
  if (currency !== undefined && !isCurrencyCode(currency)) return { refusal: `"${currency}" is not a currency code.` };
  const reading = readField(PRICE, code === undefined ? text : text.replace(code, ''), locale);
  if (isRefusal(reading)) return reading;
  const price = reading.value as string | null;
  return {
    patch: currency === undefined ? { price } : { price, currency },
    shown: `${typedText(reading.shown, locale)} ${currency ?? ''}`.trim(),
  };
}
