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
 * Reads a number as people type it: "12,50", "1 200", "3/4", "18.90/24", "3 x 0.5", "15%", "2 h 30", "450 g", "€ 12".
 * A single sign before one or two, or more than three, digits is the decimal sign whatever the country; before exactly
 * three digits the country decides. Returns null where it is not a number. Quotients keep 12 digits after the point.
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
  return { value: plain(value), unit, percent: suffix === '%' };
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

/** "2 h 30", "2h", "1:45" as hours and minutes: the value is in minutes. */
function readTime(text: string, sign: DecimalSign): ReadNumber | null {
  const match =
    /^(\d+(?:[.,]\d+)?)\s*(?:h|hours?|hrs?)\s*(?:(\d{1,2})\s*(?:m|min|minutes?)?)?$/i.exec(text) ??
    /^(\d+):(\d{2})$/.exec(text);
  if (!match) return null;
  const hours = readPlain(match[1] ?? '', sign);
  if (hours === null) return null;
  return { value: plain(hours.mul(60).plus(match[2] ?? 0)), unit: 'min', percent: false };
}

function readExpression(text: string, sign: DecimalSign): DecimalValue | null {
  const [left = '', operator, right] = text.split(/\s*([/x*×])\s*/);
  const first = readPlain(left, sign);
  if (first === null || operator === undefined || right === undefined) return first;
  const second = readPlain(right, sign);
  if (second === null) return null;
  if (operator === '/') return second.isZero() ? null : first.div(second);
  return first.mul(second);
}

function readPlain(text: string, sign: DecimalSign): DecimalValue | null {
  const packed = text.replace(/[ ']/g, '');
  const points = packed.split(/[.,]/).length - 1;
  if (points === 0) return /^-?\d+$/.test(packed) ? new Decimal(packed) : null;
  const last = Math.max(packed.lastIndexOf('.'), packed.lastIndexOf(','));
  const other = packed.includes('.') && packed.includes(',');
  const isGroup = !other && packed.length - last - 1 === 3 && (points > 1 || packed[last] !== sign);
  const isDecimal = other || !isGroup;
  if (isDecimal && points > 1 && !other) return null;
  const whole = (isDecimal ? packed.slice(0, last) : packed).replace(/[.,]/g, '');
  const fraction = isDecimal ? packed.slice(last + 1) : '';
  return /^-?\d*$/.test(whole) && /^\d*$/.test(fraction)
    ? new Decimal(`${whole === '' || whole === '-' ? `${whole}0` : whole}.${fraction || '0'}`)
    : null;
}

function plain(value: DecimalValue): string {
  const text = value.toDecimalPlaces(12).toFixed();
  return text === '-0' ? '0' : text;
}
