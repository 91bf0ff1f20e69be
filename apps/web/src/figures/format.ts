import { dayFormat, dayText, unitOfMeasure, type RoundingMode } from '@nuvar/book';
import { fixedDigits, minorDigits, type DayOrder, type DecimalSign } from '@nuvar/core';

export { dayText };

/** How figures are written in the open book. */
export interface Style {
  readonly locale: string;
  readonly currency: string;
  readonly rounding: RoundingMode;
}

const SIGNS = new Map<string, DecimalSign>();

/** The country of a locale: "US" of "en-US". */
export const regionOf = (locale: string): string => locale.split('-')[1] ?? '';

/** The sign before the decimals in a country. */
export function decimalSign(locale: string): DecimalSign {
  const known = SIGNS.get(locale);
  if (known !== undefined) return known;
  const part = new Intl.NumberFormat(locale).formatToParts(1.5).find((each) => each.type === 'decimal');
  const sign: DecimalSign = part?.value === ',' ? ',' : '.';
  SIGNS.set(locale, sign);
  return sign;
}

const FORMATS = new Map<string, Intl.NumberFormat>();

function numberFormat(locale: string, digits: number): Intl.NumberFormat {
  const key = `${locale}/${digits}`;
  const known = FORMATS.get(key);
  if (known !== undefined) return known;
  const made = new Intl.NumberFormat(locale, { minimumFractionDigits: digits, maximumFractionDigits: digits });
  FORMATS.set(key, made);
  return made;
}

/** Writes an exact amount with so many digits after the point, rounded as the book says. */
export function written(amount: string, digits: number, { locale, rounding }: Style): string {
  const text = fixedDigits(amount, digits, rounding);
  const unsigned = /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
  return numberFormat(locale, digits)
    .format(unsigned as Intl.StringNumericLiteral)
    .replace('-', '−');
}

/** A decimal of a row as a person would type it in this country. */
export function typedText(decimal: string, locale: string): string {
  return decimal.replace('.', decimalSign(locale));
}

const MOST_DIGITS = 9;

/** From this amount on, more digits than the currency has say nothing. */
const LARGE = 100;

/** How many of the digits of a column an amount of money goes without: a large one has no more than its currency. */
export function spareDigits(amount: string, digits: number, unit: string, { currency }: Style): number {
  const isLarge = unit.startsWith(currency) && Math.abs(Number(amount)) >= LARGE;
  return isLarge ? Math.max(0, digits - minorDigits(currency)) : 0;
}

const PERIODS = /^(month|day|week|year|quarter|batch|order)$/;

/**
 * How many digits a figure is shown with: money as its currency has, money per unit of output or material two more, and
 * as many as it takes to see three digits of something small; percent one; all else up to two.
 */
export function digitsOf(amount: string, unit: string, style: Style): number {
  const [above = '', below] = unit.split(' per ');
  const minor = minorDigits(style.currency);
  const base =
    above === style.currency ? (below === undefined || PERIODS.test(below) ? minor : minor + 2) : above === '%' ? 1 : 2;
  const small = /^-?0\.(0*)[1-9]/.exec(amount);
  if (small === null) return base;
  const needed = (small[1]?.length ?? 0) + 3;
  // What is smaller than that is nothing, and is written as such.
  return needed > MOST_DIGITS ? base : Math.max(base, needed);
}

/** A count as the country writes numbers: "1,204". */
export const countText = (count: number, locale: string): string => numberFormat(locale, 0).format(count);

/** So many of something in words: "1 row", "1,204 rows". */
export const counted = (count: number, one: string, locale: string, many = `${one}s`): string =>
  `${countText(count, locale)} ${count === 1 ? one : many}`;

/** Many of a unit: "pieces", "kg", "trays". */
export function manyUnits(unit: string): string {
  if (unit === 'each') return 'pieces';
  return unitOfMeasure(unit) !== undefined || unit.endsWith('s') ? unit : `${unit}s`;
}

/** A unit as it is read: "EUR per each" is money per piece. */
export function unitWords(unit: string): string {
  return unit.replace(/\beach\b/g, 'piece');
}

/** The format of a day in a workbook: "dd/mm/yyyy" in Ireland. */
export const dayPattern = (locale: string): string =>
  dayFormat(locale)
    .formatToParts(0)
    .map(({ type, value }) => ({ day: 'dd', month: 'mm', year: 'yyyy' })[type as string] ?? value)
    .join('');

/** What comes first where the country writes days in figures. */
export function dayOrder(locale: string): DayOrder {
  const parts = dayFormat(locale)
    .formatToParts(0)
    .map(({ type }) => type);
  const isMonthFirst = parts.indexOf('month') < parts.indexOf('day') && parts.indexOf('year') > parts.indexOf('day');
  return isMonthFirst ? 'month first' : 'day first';
}

interface WeekInfo {
  /** 1 is Monday, 7 is Sunday. */
  readonly firstDay?: number;
}

/** The day with which a week begins in a country: 0 is Sunday. Monday (ISO 8601) where the browser does not know. */
export function firstWeekday(locale: string): 0 | 1 | 2 | 3 | 4 | 5 | 6 {
  const place = new Intl.Locale(locale) as Intl.Locale & { getWeekInfo?: () => WeekInfo; weekInfo?: WeekInfo };
  // A method by now, and a property in engines that had it early.
  const { firstDay = 1 } = place.getWeekInfo?.() ?? place.weekInfo ?? {};
  return (firstDay % 7) as 0 | 1 | 2 | 3 | 4 | 5 | 6;
}

export function momentWords(moment: string, locale: string): string {
  return new Date(moment).toLocaleString(locale, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}

/** A country and its language in words: "de-AT" is Austria, German. */
export function localeName(locale: string): string {
  const [language = '', region = ''] = locale.split('-');
  const inEnglish = (code: string, type: 'region' | 'language') =>
    new Intl.DisplayNames('en', { type }).of(code) ?? code;
  return `${inEnglish(region, 'region')}, ${inEnglish(language, 'language')}`;
}

/** A month as a country writes it, from any day of it: "November 2026". */
export const monthText = (day: string, locale: string): string =>
  new Intl.DateTimeFormat(locale, { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${day}T00:00:00Z`),
  );
