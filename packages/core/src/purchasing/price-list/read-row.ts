import { isCurrencyCode, isDecimalText, isPlainText } from '@nuvar/book';
import { decimal, type DecimalSign, isShortText, readNumber } from '../../number/index.js';
import type { PriceListField } from './fields.js';
import { type ListNote, listNote } from './list-note.js';
import type { ListReading, ListRow } from './list-row.js';
import { readDay } from '../../calendar/index.js';

const UNREAD: Omit<ListRow, 'line'> = {
  outcome: 'not understood',
  notes: [],
  name: '',
  code: '',
  supplier: '',
  packQuantity: '1',
  packUnit: 'each',
  price: null,
  currency: '',
  validFrom: '',
  minimumOrder: null,
  orderedPacks: null,
  materialId: null,
  changePercent: null,
  isInForce: true,
  unknownUnit: null,
};

/** Reads the cells of one row; what cannot be read is a reason, and then the row is not understood. */
export function readRow(
  cells: readonly string[],
  line: number,
  reading: ListReading,
  isUnit: (word: string) => string | undefined,
): ListRow {
  const cell = (field: PriceListField) => (cells[reading.mapping.indexOf(field)] ?? '').trim();
  const name = cell('name').replace(/\s+/g, ' ');
  const code = cell('code');
  const supplier = cell('supplier') || reading.supplier;
  const price = readPrice(cell('price'), reading.decimalSign);
  const pack = readPack(cell('pack'), cell('unit'), reading, isUnit);
  const currency = currencyOf(cell('currency'), price, reading);
  const validFrom = dayOf(cell('validFrom'), reading);
  const notes = [
    nameNote(name),
    'note' in price ? price.note : null,
    'note' in pack ? pack.note : null,
    isCurrencyCode(currency) ? null : listNote('not-a-currency', { text: currency }),
    validFrom === null ? listNote('not-a-day', { text: cell('validFrom') }) : null,
    isName(supplier) ? null : listNote('supplier-too-long'),
    isName(code) ? null : listNote('code-too-long'),
  ].filter((note) => note !== null);
  const read = { ...UNREAD, line, notes, name, code, supplier, currency, unknownUnit: unknownUnitOf(pack) };
  if (notes.length > 0 || 'note' in price || 'note' in pack || validFrom === null) return read;
  return {
    ...read,
    outcome: 'new material',
    price: price.value,
    packQuantity: pack.quantity,
    packUnit: pack.unit,
    validFrom,
    minimumOrder: readCount(cell('minimumOrder'), reading.decimalSign),
    orderedPacks: readCount(cell('orderedPacks'), reading.decimalSign),
  };
}

/** The currency of its own cell, else that of the price, else that of the whole list. */
const currencyOf = (stated: string, price: ReadPrice, { currency }: ListReading) =>
  (stated || ('note' in price ? '' : price.currency) || currency).toUpperCase();

/** The day of its own cell, else that of the whole list; null where it is none. */
const dayOf = (stated: string, { validFrom, dayOrder }: ListReading) =>
  stated === '' ? validFrom : readDay(stated, dayOrder);

const unknownUnitOf = (pack: ReadPack) => ('note' in pack ? pack.unknownUnit : null);

/** As long as a name may be, and without the sign that ends texts in older programs. */
const isName = (text: string) => text.length <= 120 && isPlainText(text);

function nameNote(name: string): ListNote | null {
  if (name === '') return listNote('no-name');
  if (name.length > 120) return listNote('name-too-long');
  if (!isPlainText(name)) return listNote('name-not-text');
  return /^[=@＝＠]/.test(name) ? listNote('name-like-formula', { name }) : null;
}

/** So many packs; null where nothing is said, or nothing that can be read. */
function readCount(text: string, sign: DecimalSign): string | null {
  const value = text === '' ? undefined : readNumber(text, sign)?.value;
  return value !== undefined && isQuantity(value) ? value : null;
}

/** Above zero, and within what a row holds. */
const isQuantity = (value: string) => isDecimalText(value) && decimal(value).gt(0) && decimal(value).lte('1000000000');

const CURRENCY_SIGNS: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP', '¥': 'JPY', '₹': 'INR', '₩': 'KRW' };

type ReadPrice = { readonly value: string; readonly currency: string } | { readonly note: ListNote };

function readPrice(text: string, sign: DecimalSign): ReadPrice {
  if (text === '') return { note: listNote('no-price') };
  const bare = text.replace(/\b[A-Z]{3}\b|\p{Sc}/gu, '').trim();
  const value = readNumber(bare, sign)?.value;
  if (value === undefined) return { note: listNote('not-a-price', { text }) };
  if (decimal(value).isNegative()) return { note: listNote('price-below-zero') };
  if (!isDecimalText(value) || decimal(value).gt('1000000000')) return { note: listNote('price-too-large') };
  return { value, currency: currencyIn(text) };
}

/** The currency that is named beside a price, by its code or its sign; empty where none is. */
function currencyIn(text: string): string {
  const [code] = /\b[A-Z]{3}\b/.exec(text) ?? [];
  const [symbol] = /\p{Sc}/u.exec(text) ?? [];
  return code ?? (symbol === undefined ? '' : (CURRENCY_SIGNS[symbol] ?? ''));
}

type ReadPack =
  | { readonly quantity: string; readonly unit: string }
  | { readonly note: ListNote; readonly unknownUnit: string | null };

/** A pack from one cell ("25 kg", "12 x 500 g"), or from a number and a unit beside it; one piece where nothing is said. */
function readPack(
  pack: string,
  unit: string,
  { decimalSign, unitWords }: ListReading,
  isUnit: (word: string) => string | undefined,
): ReadPack {
  if (!isShortText(pack)) return { note: listNote('not-a-pack', { text: pack }), unknownUnit: null };
  const [, amount = '', inCell = ''] = /^([\d.,'\s/x*×]*)(.*)$/u.exec(pack) ?? [];
  const word = inCell.trim() !== '' ? inCell.trim() : unit;
  const code = word === '' ? 'each' : unitNamed(word, (each) => ownWord(unitWords, each.toLowerCase()) ?? isUnit(each));
  if (code === undefined) return { note: listNote('unknown-unit', { text: word }), unknownUnit: word.slice(0, 40) };
  if (amount.trim() === '') return { quantity: '1', unit: code };
  const value = readNumber(amount.trim(), decimalSign)?.value;
  if (value === undefined || !isQuantity(value))
    return { note: listNote('not-a-pack', { text: pack }), unknownUnit: null };
  return { quantity: value, unit: code };
}

/** What a list means by a word of its own. */
const ownWord = (words: Readonly<Record<string, string>>, word: string) =>
  Object.hasOwn(words, word) ? words[word] : undefined;

/** The unit that a word names; of "kg/bag" the one that comes first. */
function unitNamed(word: string, known: (word: string) => string | undefined): string | undefined {
  return known(word) ?? known(word.split(/[/(]/)[0]?.trim() ?? '');
}
