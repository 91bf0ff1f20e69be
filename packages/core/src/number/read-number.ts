import { unitOfMeasure } from '@nuvar/book';
import { Decimal, type Decimal as DecimalValue } from './decimal.js';

/** What was understood of a typed number: its value as a decimal string, and the unit, percent sign or time in it. */
export interface ReadNumber {
  readonly value: string;
  readonly unit: string | null;
  readonly percent: boolean;
}

/** How numbers are written in a country: the sign before the decimals. */
export type DecimalSign = '.' | ',';

/**
 * Reads a number as people type it: "12,50", "1 200", "3/4", "18.90/24", "3 x 0.5", "15%", "2 h 30", "90 s", "450 g",
 * "€ 12".
 * A single sign before one or two, or more than three, digits is the decimal sign whatever the country; before exactly
 * three digits the country decides. A plain number keeps the digits that were typed ("9.50"); quotients keep 12 after the
 * point. Returns null where it is not a number.
 */
export function readNumber(text: string, decimalSign: DecimalSign): ReadNumber | null {
  const tidy = text
    .replace(/[\u00a0\u202f\u2009]/g, ' ')
    .replace(/[−–]/g, '-')
    .trim();
  const time = readTime(tidy, decimalSign);
  if (time !== null) return time;
  const match = /^\p{Sc}?\s*(-?[\d.,' ]*\d(?:\s*[/x*×]\s*[\d.,' ]*\d)?)\s*(%|\p{Sc}|[\p{L}][\p{L}²³. ]*)?$/u.exec(tidy);
  if (!match) return null;
  const value = readExpression(match[1] ?? '', decimalSign);
  if (value === null) return null;
  const suffix = (match[2] ?? '').trim();
  const known = suffix !== '' && suffix !== '%' && !/\p{Sc}/u.test(suffix);
  const unit = known ? (unitOfMeasure(suffix)?.code ?? UNIT_WORDS[suffix.toLowerCase()] ?? null) : null;
  if (known && unit === null && !/^[A-Z]{3}$/.test(suffix)) return null;
  return { value, unit, percent: suffix === '%' };
}

const UNIT_WORDS: Record<string, string> = {
  gram: 'g',
  grams: 'g',
  gr: 'g',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  litre: 'l',
  litres: 'l',
  liter: 'l',
  liters: 'l',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  ounce: 'oz',
  ounces: 'oz',
  pc: 'each',
  pcs: 'each',
  piece: 'each',
  pieces: 'each',
  inch: 'in',
  inches: 'in',
  foot: 'ft',
  feet: 'ft',
  m2: 'm²',
  cm2: 'cm²',
  m3: 'm³',
  minute: 'min',
  minutes: 'min',
  mins: 'min',
  hour: 'h',
  hours: 'h',
  hr: 'h',
  hrs: 'h',
};

/** "2 h 30", "2h", "1:45", "90 s", "2 min 30 s": the value is in minutes. */
function readTime(text: string, sign: DecimalSign): ReadNumber | null {
  const minutes = readHours(text, sign) ?? readSeconds(text, sign);
  return minutes === null ? null : { value: plain(minutes), unit: 'min', percent: false };
}

function readHours(text: string, sign: DecimalSign): DecimalValue | null {
  const match =
    /^(\d+(?:[.,]\d+)?)\s*(?:h|hours?|hrs?)\s*(?:(\d{1,2})\s*(?:m|min|minutes?)?)?$/i.exec(text) ??
    /^(\d+):(\d{2})$/.exec(text);
  const hours = match && readPlain(match[1] ?? '', sign);
  return match && hours !== null ? new Decimal(hours).mul(60).plus(match[2] ?? 0) : null;
}

function readSeconds(text: string, sign: DecimalSign): DecimalValue | null {
  const match =
    /^(?:(\d+)\s*(?:min|mins|minutes?)\s*)?(\d+(?:[.,]\d+)?)\s*(?:s|secs?|seconds?)$/i.exec(text) ??
    /^(\d+)\s*(?:min|mins|minutes?)\s*(\d{1,2})$/i.exec(text);
  const seconds = match && readPlain(match[2] ?? '', sign);
  return match && seconds !== null ? new Decimal(seconds).div(60).plus(match[1] ?? 0) : null;
}

function readExpression(text: string, sign: DecimalSign): string | null {
  const [left = '', operator, right] = text.split(/\s*([/x*×])\s*/);
  const first = readPlain(left, sign);
  if (first === null || operator === undefined || right === undefined) return first;
  const second = readPlain(right, sign);
  if (second === null) return null;
  if (operator === '/') return Number(second) === 0 ? null : plain(new Decimal(first).div(second));
  return plain(new Decimal(first).mul(second));
}

/** One number as decimal text, with the digits after the point that were typed. */
function readPlain(text: string, sign: DecimalSign): string | null {
  const packed = text.replace(/[ ']/g, '');
  const signs = packed.replace(/[^.,]/g, '');
  const last = signs.at(-1) ?? sign;
  const isGrouping = signs.length > 1 ? /^(.)\1+$/.test(signs) : last !== sign && /^-?\d{1,3}[.,]\d{3}$/.test(packed);
  const [whole = '', fraction = ''] = isGrouping ? [packed] : cutAt(packed, packed.lastIndexOf(last));
  const grouped = whole.split(/[.,]/);
  if (
    grouped.slice(1).some((group) => group.length !== 3) ||
    (grouped.length > 1 && (grouped[0] ?? '').replace('-', '').length > 3)
  )
    return null;
  if (!isGrouping && grouped.length > 1 && whole.includes(last)) return null;
  const digits = grouped.join('');
  if (!/^-?\d*$/.test(digits) || !/^\d*$/.test(fraction) || !/\d/.test(digits + fraction)) return null;
  const value = new Decimal(`${digits.replace(/^-?$/, (minus) => `${minus}0`)}.${fraction || '0'}`);
  return fraction.length > MOST_DIGITS || value.isZero() ? plain(value) : value.toFixed(fraction.length);
}

const cutAt = (text: string, index: number): [string, string] =>
  index < 0 ? [text, ''] : [text.slice(0, index), text.slice(index + 1)];

const MOST_DIGITS = 12;

function plain(value: DecimalValue): string {
  const text = value.toDecimalPlaces(MOST_DIGITS).toFixed();
  return text === '-0' ? '0' : text;
}
