import { unitNamed } from '@nuvar/book';
import { Decimal, type Decimal as DecimalValue } from './decimal.js';
import { isShortText } from './typed-text.js';

/** What was understood of a typed number: its value as a decimal string, and the unit, percent sign or time in it. */
export interface ReadNumber {
  readonly value: string;
  readonly unit: string | null;
  readonly percent: boolean;
}

/** How numbers are written in a country: the sign before the decimals. */
export type DecimalSign = '.' | ',';

/**
 * Reads a number as people type it: "12,50", "1 200", "3/4", "2 1/2", "2½", "18.90/24", "3 x 0.5", "15%", "2 h 30", "90 s",
 * "450 g", "€ 12". A space parts thousands, before three digits, or a whole number from a fraction below one.
 * A single sign before one or two, or more than three, digits is the decimal sign whatever the country; before exactly
 * three digits the country decides. A plain number keeps the digits that were typed ("9.50"); quotients keep 12 after the
 * point. Returns null where it is not a number; more than 200 letters are none. Kitchen and liquid measures are those of the country `region` ("US").
 *
 * @example readNumber('3/4', '.') → {"value":"0.75","unit":null,"percent":false}
 * @example readNumber('2 h 30', ',') → {"value":"150","unit":"min","percent":false}
 */
export function readNumber(text: string, decimalSign: DecimalSign, region = ''): ReadNumber | null {
  if (!isShortText(text)) return null;
  const tidy = withMixedNumber(withPlainSigns(text), decimalSign);
  if (tidy === null) return null;
  const time = readTime(tidy, decimalSign);
  if (time !== null) return time;
  const match = /^\p{Sc}?\s*(-?[\d.,' ]*\d(?:\s*[/x*×]\s*[\d.,' ]*\d)?)\s*(%|\p{Sc}|[\p{L}][\p{L}\d²³. ]*)?$/u.exec(
    tidy,
  );
  if (!match) return null;
  const value = readExpression(match[1] ?? '', decimalSign);
  const unit = readSuffix((match[2] ?? '').trim(), region);
  return value === null || unit === undefined ? null : { value, ...unit };
}

/** Spaces, minus signs and fractions of one letter ("½") as those of a keyboard. */
export const withPlainSigns = (text: string): string =>
  text
    .replace(/[\u00a0\u202f\u2009]/g, ' ')
    .replace(/[−–]/g, '-')
    .replace(/[\u00bc-\u00be\u2150-\u215e]/g, (fraction) => ` ${fraction.normalize('NFKC')}`)
    .replaceAll('\u2044', '/')
    .trim();

/** A whole number and a fraction: three digits before the stroke are a group of thousands, and the whole a quotient ("1 200/24"). */
const MIXED = /^(\p{Sc}?\s*-?)(\d+)(?: +|-)(\d{1,2}|\d{4,})\s*\/\s*(\d+)(?![\d.,])/u;

/** The text with a whole number and a fraction ("2 1/2", "2-1/2") as one decimal number; null where that is no fraction below one. */
function withMixedNumber(text: string, sign: DecimalSign): string | null {
  const match = MIXED.exec(text);
  if (match === null) return text;
  const [all, before = '', whole = '', above = '', below = ''] = match;
  if (Number(above) >= Number(below)) return null;
  const value = plain(new Decimal(above).div(below).plus(whole));
  return `${before}${value.replace('.', sign)}${text.slice(all.length)}`;
}

/** What stands behind a number: nothing, a percent sign, a currency, or a unit; undefined where it is none of these. */
function readSuffix(suffix: string, region: string): Pick<ReadNumber, 'unit' | 'percent'> | undefined {
  if (suffix === '' || suffix === '%' || /\p{Sc}/u.test(suffix)) return { unit: null, percent: suffix === '%' };
  const unit = unitNamed(suffix, region) ?? null;
  return unit === null && !/^[A-Z]{3}$/.test(suffix) ? undefined : { unit, percent: false };
}

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

/** Spaces and apostrophes part thousands and nothing else: "1 2" is no twelve. */
const GROUPED_BY_SPACE = /^-?\d{1,3}(?:[ ']\d{3})+(?:[.,]\d*)?$/;

/** One number as decimal text, with the digits after the point that were typed. */
function readPlain(text: string, sign: DecimalSign): string | null {
  const isParted = /[ ']/.test(text);
  return isParted && !GROUPED_BY_SPACE.test(text) ? null : readPacked(text.replace(/[ ']/g, ''), sign);
}

/** The same, of a text without spaces. */
function readPacked(packed: string, sign: DecimalSign): string | null {
  const last = packed.replace(/[^.,]/g, '').at(-1) ?? sign;
  const isAllGroups = isGroupedThroughout(packed, sign);
  const [whole = '', fraction = ''] = isAllGroups ? [packed] : cutAt(packed, packed.lastIndexOf(last));
  const groups = whole.split(/[.,]/);
  const digits = groups.join('');
  const isMixed = !isAllGroups && groups.length > 1 && whole.includes(last);
  if (isMixed || !areGroups(groups) || !areDigits(digits, fraction)) return null;

  const value = new Decimal(`${digits.replace(/^-?$/, (minus) => `${minus}0`)}.${fraction || '0'}`);
  return asTyped(value, fraction.length);
}

/** With so many digits after the point; of zero, and of more digits than are kept, without those that say nothing. */
const asTyped = (value: DecimalValue, digits: number) =>
  digits > MOST_DIGITS || value.isZero() ? plain(value) : value.toFixed(digits);

/** True for digits before and after the point, of which there is at least one. */
const areDigits = (whole: string, fraction: string) =>
  /^-?\d*$/.test(whole) && /^\d*$/.test(fraction) && /\d/.test(whole + fraction);

/** True where every sign in a number parts thousands, and none decimals: "1.200.000"; "1,200" where the country says so. */
function isGroupedThroughout(packed: string, sign: DecimalSign): boolean {
  const signs = packed.replace(/[^.,]/g, '');
  if (signs.length > 1) return /^(.)\1+$/.test(signs);
  return (signs.at(-1) ?? sign) !== sign && /^-?\d{1,3}[.,]\d{3}$/.test(packed);
}

/** True where digits are parted as thousands are: three in each group but the first, which has at most three. */
function areGroups([first = '', ...others]: readonly string[]): boolean {
  return others.every((group) => group.length === 3) && (others.length === 0 || first.replace('-', '').length <= 3);
}

const cutAt = (text: string, index: number): [string, string] =>
  index < 0 ? [text, ''] : [text.slice(0, index), text.slice(index + 1)];

const MOST_DIGITS = 12;

function plain(value: DecimalValue): string {
  const text = value.toDecimalPlaces(MOST_DIGITS).toFixed();
  return text === '-0' ? '0' : text;
}
