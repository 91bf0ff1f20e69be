import type { RoundingMode } from '@nuvar/book';
import { fixedDigits, minorDigits, type DecimalSign } from '@nuvar/core';

/** How figures are written in the open book. */
export interface Style {
  readonly locale: string;
  readonly currency: string;
  readonly rounding: RoundingMode;
}

const SIGNS = new Map<string, DecimalSign>();

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
  const leading = /^-?0\.(0*)[1-9]/.exec(amount)?.[1]?.length ?? 0;
  return amount.startsWith('0.') || amount.startsWith('-0.') ? Math.max(base, Math.min(leading + 3, 9)) : base;
}

/** A unit as it is read: "EUR per each" is money per piece. */
export function unitWords(unit: string): string {
  return unit.replace(/\beach\b/g, 'piece');
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
