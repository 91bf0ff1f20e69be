import { isCurrencyCode, isDecimalText } from '@nuvar/book';
import { decimal, type DecimalSign, readNumber } from '../../number/index.js';
import type { PriceListField } from './fields.js';
import { type ListNote, listNote } from './list-note.js';
import type { ListReading, ListRow } from './list-row.js';
import { readDay } from './read-day.js';

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
  unknownUnit: null,
};

/** Reads the cells of one row; what cannot be read is a reason, and then the row is not understood. */
export function readRow(
  cells: readonly string[],
  line: number,
  reading: ListReading,
  isUnit: (word: string) => string | undefined,
): ListRow {
  const { mapping, decimalSign } = reading;
  const cell = (field: PriceListField) => (cells[mapping.indexOf(field)] ?? '').trim();
  const has = (field: PriceListField) => mapping.includes(field) && cell(field) !== '';
  const notes: ListNote[] = [];
  const name = cell('name').replace(/\s+/g, ' ');
  if (name === '') notes.push(listNote('no-name'));
  else if (name.length > 120) notes.push(listNote('name-too-long'));
  else if (name.includes('\0')) notes.push(listNote('name-not-text'));
  else if (/^[=@]/.test(name)) notes.push(listNote('name-like-formula', { name }));
  const price = readPrice(cell('price'), decimalSign);
  if ('note' in price) notes.push(price.note);
  const pack = readPack(cell('pack'), cell('unit'), reading, isUnit);
  if ('note' in pack) notes.push(pack.note);
  const currency = (
    has('currency') ? cell('currency') : ('note' in price ? '' : price.currency) || reading.currency
  ).toUpperCase();
  if (!isCurrencyCode(currency)) notes.push(listNote('not-a-currency', { text: currency }));
  const validFrom = has('validFrom') ? readDay(cell('validFrom'), reading.dayOrder) : reading.validFrom;
  if (validFrom === null) notes.push(listNote('not-a-day', { text: cell('validFrom') }));
  const positive = (field: 'minimumOrder' | 'orderedPacks') => {
    if (!has(field)) return null;
    const value = readNumber(cell(field), decimalSign)?.value;
    return value !== undefined && isQuantity(value) ? value : null;
  };
  const supplier = has('supplier') ? cell('supplier') : reading.supplier;
  if (supplier.length > 120 || supplier.includes('\0')) notes.push(listNote('supplier-too-long'));
  if (cell('code').length > 120 || cell('code').includes('\0')) notes.push(listNote('code-too-long'));
  const read = {
    ...UNREAD,
    line,
    notes,
    name,
    code: cell('code'),
    supplier,
    currency,
    unknownUnit: 'note' in pack ? pack.unknownUnit : null,
  };
  if (notes.length > 0 || 'note' in price || 'note' in pack || validFrom === null) return read;
  return {
    ...read,
    outcome: 'new material',
    price: price.value,
    packQuantity: pack.quantity,
    packUnit: pack.unit,
    validFrom,
    minimumOrder: positive('minimumOrder'),
    orderedPacks: positive('orderedPacks'),
  };
}

/** Above zero, and within what a row holds. */
const isQuantity = (value: string) => isDecimalText(value) && decimal(value).gt(0) && decimal(value).lte('1000000000');

const CURRENCY_SIGNS: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP', '¥': 'JPY', '₹': 'INR', '₩': 'KRW' };

function readPrice(text: string, sign: DecimalSign): { value: string; currency: string } | { note: ListNote } {
  if (text === '') return { note: listNote('no-price') };
  const [code = ''] = /\b[A-Z]{3}\b/.exec(text) ?? [];
  const [symbol = ''] = /\p{Sc}/u.exec(text) ?? [];
  const bare = text.replace(/\b[A-Z]{3}\b|\p{Sc}/gu, '').trim();
  const value = readNumber(bare, sign)?.value;
  if (value === undefined) return { note: listNote('not-a-price', { text }) };
  if (decimal(value).isNegative()) return { note: listNote('price-below-zero') };
  if (!isDecimalText(value) || decimal(value).gt('1000000000')) return { note: listNote('price-too-large') };
  return { value, currency: code || (CURRENCY_SIGNS[symbol] ?? '') };
}

/** A pack from one cell ("25 kg", "12 x 500 g"), or from a number and a unit beside it; one piece where nothing is said. */
function readPack(
  pack: string,
  unit: string,
  { decimalSign, unitWords }: ListReading,
  isUnit: (word: string) => string | undefined,
): { quantity: string; unit: string } | { note: ListNote; unknownUnit: string | null } {
  const known = (word: string) => unitWords[word.toLowerCase()] ?? isUnit(word);
  const [, amount = '', inCell = ''] = /^([\d.,'\s/x*×]*)(.*)$/u.exec(pack) ?? [];
  const word = inCell.trim() !== '' ? inCell.trim() : unit;
  // "kg/bag": the unit comes first.
  const code = word === '' ? 'each' : (known(word) ?? known(word.split(/[/(]/)[0]?.trim() ?? ''));
  if (code === undefined) return { note: listNote('unknown-unit', { text: word }), unknownUnit: word };
  if (amount.trim() === '') return { quantity: '1', unit: code };
  const value = readNumber(amount.trim(), decimalSign)?.value;
  if (value === undefined || !isQuantity(value))
    return { note: listNote('not-a-pack', { text: pack }), unknownUnit: null };
  return { quantity: value, unit: code };
}
