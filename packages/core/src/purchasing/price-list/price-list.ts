import { isCurrencyCode, isDecimalText, type BookRows, type RowOf } from '@nuvar/book';
import { Decimal, decimal, readNumber, type DecimalSign } from '../../number/index.js';
import { factorThrough } from '../conversion-conflicts.js';
import { isHeading, type ColumnMapping, type PriceListField } from './fields.js';
import { readDay, type DayOrder } from './read-day.js';

/** What will be done with a row of a price list, or why nothing. */
export type ListOutcome = 'new material' | 'new price' | 'same price' | 'not understood';

/** One row of a price list, as it was understood. */
export interface ListRow {
  /** Its place in the table, from 1, as the supplier sees it. */
  readonly line: number;
  readonly outcome: ListOutcome;
  /** Why it is not understood, or what was assumed. */
  readonly notes: readonly string[];
  readonly name: string;
  readonly code: string;
  readonly supplier: string;
  readonly packQuantity: string;
  readonly packUnit: string;
  readonly price: string | null;
  readonly currency: string;
  readonly validFrom: string;
  readonly minimumOrder: string | null;
  readonly orderedPacks: string | null;
  /** The material of the book that it is a price of; null for a new one. */
  readonly materialId: string | null;
  /** By how many percent the price of one unit moves against the newest that the book holds; null where that is not known. */
  readonly changePercent: string | null;
  /** The word for a unit that nobody knows, where that is why the row is not understood. */
  readonly unknownUnit: string | null;
}

export interface ListReading {
  readonly mapping: ColumnMapping;
  /** Rows before this one are headings and addresses. */
  readonly firstRow: number;
  readonly decimalSign: DecimalSign;
  readonly dayOrder: DayOrder;
  /** What stands for a column that the list does not have. */
  readonly supplier: string;
  readonly currency: string;
  readonly validFrom: string;
  /** Words of the list for units: "Sack" is taken as kg. */
  readonly unitWords: Readonly<Record<string, string>>;
  /** Rows that were linked by hand to a material, or said to be new (null), by their line. */
  readonly linked: Readonly<Record<number, string | null>>;
}

/**
 * Reads the rows of a price list against a book. A row is a price of the material that bears its code (the material's own,
 * or the supplier's on an earlier price), else its name; otherwise it is a new material. Empty rows and repeated headings
 * are passed over. Nothing is changed: what a row says that cannot be read is a reason, and the row is left out.
 */
export function readPriceList(
  table: readonly (readonly string[])[],
  reading: ListReading,
  book: BookRows,
  isUnit: (word: string) => string | undefined,
): ListRow[] {
  const found = materialFinder(book);
  const seen = new Map<string, number>();
  return table.slice(reading.firstRow).flatMap((cells, index): ListRow[] => {
    if (cells.every((cell) => cell.trim() === '') || isHeading(cells)) return [];
    const row = readRow(cells, reading.firstRow + index + 1, reading, isUnit);
    if (row.outcome === 'not understood') return [row];
    const key = [row.name, row.code, row.supplier, row.packQuantity, row.packUnit, row.validFrom]
      .join('|')
      .toLowerCase();
    const earlier = seen.get(key);
    if (earlier !== undefined)
      return [{ ...row, outcome: 'not understood', notes: [`it stands in line ${earlier} already`] }];
    seen.set(key, row.line);
    const chosen = reading.linked[row.line];
    return [against(book, row, chosen === undefined ? found(row) : chosen)];
  });
}

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

function readRow(
  cells: readonly string[],
  line: number,
  reading: ListReading,
  isUnit: (word: string) => string | undefined,
): ListRow {
  const { mapping, decimalSign } = reading;
  const cell = (field: PriceListField) => (cells[mapping.indexOf(field)] ?? '').trim();
  const has = (field: PriceListField) => mapping.includes(field) && cell(field) !== '';
  const notes: string[] = [];
  const name = cell('name').replace(/\s+/g, ' ');
  if (name === '') notes.push('it has no name');
  else if (name.length > 120) notes.push('its name has more than 120 characters');
  else if (name.includes('\0')) notes.push('its name holds a sign that is none');
  else if (/^[=@]/.test(name)) notes.push(`its name looks like a formula: ${name.slice(0, 30)}`);
  const price = readPrice(cell('price'), decimalSign);
  if (typeof price === 'string') notes.push(price);
  const pack = readPack(cell('pack'), cell('unit'), reading, isUnit);
  if ('note' in pack) notes.push(pack.note);
  const currency = (
    has('currency') ? cell('currency') : (typeof price === 'string' ? '' : price.currency) || reading.currency
  ).toUpperCase();
  if (!isCurrencyCode(currency)) notes.push(`"${currency.slice(0, 12)}" is not a currency code`);
  const validFrom = has('validFrom') ? readDay(cell('validFrom'), reading.dayOrder) : reading.validFrom;
  if (validFrom === null) notes.push(`"${cell('validFrom').slice(0, 20)}" is not a day`);
  const positive = (field: 'minimumOrder' | 'orderedPacks') => {
    if (!has(field)) return null;
    const value = readNumber(cell(field), decimalSign)?.value;
    return value !== undefined && isQuantity(value) ? value : null;
  };
  const supplier = has('supplier') ? cell('supplier') : reading.supplier;
  if (supplier.length > 120 || supplier.includes('\0')) notes.push('the name of its supplier is too long');
  if (cell('code').length > 120 || cell('code').includes('\0')) notes.push('its code is too long');
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
  if (notes.length > 0 || typeof price === 'string' || 'note' in pack || validFrom === null) return read;
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

function readPrice(text: string, sign: DecimalSign): { value: string; currency: string } | string {
  if (text === '') return 'it has no price';
  const [code = ''] = /\b[A-Z]{3}\b/.exec(text) ?? [];
  const [symbol = ''] = /\p{Sc}/u.exec(text) ?? [];
  const bare = text.replace(/\b[A-Z]{3}\b|\p{Sc}/gu, '').trim();
  const value = readNumber(bare, sign)?.value;
  if (value === undefined) return `"${text.slice(0, 20)}" is not a price`;
  if (decimal(value).isNegative()) return `its price is below zero`;
  if (!isDecimalText(value) || decimal(value).gt('1000000000')) return `its price is too large`;
  return { value, currency: code || (CURRENCY_SIGNS[symbol] ?? '') };
}

/** A pack from one cell ("25 kg", "12 x 500 g"), or from a number and a unit beside it; one piece where nothing is said. */
function readPack(
  pack: string,
  unit: string,
  { decimalSign, unitWords }: ListReading,
  isUnit: (word: string) => string | undefined,
): { quantity: string; unit: string } | { note: string; unknownUnit: string | null } {
  const known = (word: string) => unitWords[word.toLowerCase()] ?? isUnit(word);
  const [, amount = '', inCell = ''] = /^([\d.,'\s/x*×]*)(.*)$/u.exec(pack) ?? [];
  const word = inCell.trim() !== '' ? inCell.trim() : unit;
  // "kg/bag": the unit comes first.
  const code = word === '' ? 'each' : (known(word) ?? known(word.split(/[/(]/)[0]?.trim() ?? ''));
  if (code === undefined) return { note: `"${word.slice(0, 20)}" is not a unit that is known here`, unknownUnit: word };
  if (amount.trim() === '') return { quantity: '1', unit: code };
  const value = readNumber(amount.trim(), decimalSign)?.value;
  if (value === undefined || !isQuantity(value))
    return { note: `"${pack.slice(0, 20)}" is not a pack`, unknownUnit: null };
  return { quantity: value, unit: code };
}

/** Finds the material of a row: by its code, then by its name. */
function materialFinder(book: BookRows): (row: ListRow) => string | null {
  return ({ code, name, supplier }) => {
    if (code !== '') {
      const own = book.rowsWith('material', 'code', code)[0];
      if (own !== undefined) return own.id;
      const supplierId = supplier === '' ? undefined : book.rowsWith('supplier', 'name', supplier)[0]?.id;
      const asked = book
        .rowsWith('supplierPrice', 'supplierCode', code)
        .find((price) => supplierId === undefined || price.supplierId === supplierId);
      if (asked !== undefined) return asked.materialId;
    }
    return book.rowsWith('material', 'name', name)[0]?.id ?? null;
  };
}

/** Holds a row against the material that it is a price of. */
function against(book: BookRows, row: ListRow, materialId: string | null): ListRow {
  const material = materialId === null ? undefined : book.row('material', materialId);
  if (material === undefined) return { ...row, outcome: 'new material', materialId: null };
  const prices = book.rowsWith('supplierPrice', 'materialId', material.id);
  const supplierId =
    row.supplier === '' ? null : (book.rowsWith('supplier', 'name', row.supplier)[0]?.id ?? 'a new one');
  const same = prices.find(
    (price) =>
      price.validFrom === row.validFrom &&
      price.supplierId === supplierId &&
      price.currency === row.currency &&
      price.packUnit === row.packUnit &&
      decimal(price.packQuantity).eq(row.packQuantity) &&
      price.price !== null &&
      decimal(price.price).eq(row.price ?? 0),
  );
  if (same !== undefined) return { ...row, outcome: 'same price', materialId: material.id, changePercent: '0' };
  const own = book.rowsWith('itemConversion', 'materialId', material.id).filter((each) => each.equalQuantity !== null);
  const notes =
    factorThrough(row.packUnit, material.baseUnit, own) === null
      ? [`there is no way yet from ${row.packUnit} to ${material.baseUnit}: state one under "Measured otherwise"`]
      : [];
  return { ...row, outcome: 'new price', materialId: material.id, notes, changePercent: changeOf(row, prices, own) };
}

/** By how much the price of a unit moves against the newest price before, in percent; null where they cannot be compared. */
function changeOf(
  row: ListRow,
  prices: readonly RowOf<'supplierPrice'>[],
  own: readonly RowOf<'itemConversion'>[],
): string | null {
  const before = prices
    .filter((price) => price.price !== null && price.currency === row.currency && price.validFrom <= row.validFrom)
    .reduce<RowOf<'supplierPrice'> | null>(
      (newest, price) => (newest === null || price.validFrom >= newest.validFrom ? price : newest),
      null,
    );
  if (before === null || row.price === null) return null;
  const factor = factorThrough(row.packUnit, before.packUnit, own);
  if (factor === null) return null;
  const now = decimal(row.price).div(decimal(row.packQuantity).mul(factor));
  const then = new Decimal(before.price ?? 0).div(before.packQuantity);
  return then.lte(0) ? null : now.minus(then).div(then).mul(100).toDecimalPlaces(2).toFixed();
}

/** The words for units that a list uses and that nobody knows yet, each once, as they are written. */
export function unknownUnitWords(rows: readonly ListRow[]): string[] {
  return [...new Set(rows.flatMap(({ unknownUnit }) => unknownUnit ?? []))];
}
