const DAYS = new Map<string, Intl.DateTimeFormat>();

/** How a country writes days in figures. */
export function dayFormat(locale: string): Intl.DateTimeFormat {
  const known = DAYS.get(locale);
  if (known !== undefined) return known;
  const made = new Intl.DateTimeFormat(locale, { year: 'numeric', month: '2-digit', day: '2-digit', timeZone: 'UTC' });
  DAYS.set(locale, made);
  return made;
}

/**
 * A day in figures, as the country writes it; a text that is no ISO day stays as it is.
 *
 * @example dayText('2026-03-31', 'en-IE') // '31/03/2026'
 */
export const dayText = (day: string, locale: string): string =>
  /^\d{4}-\d{2}-\d{2}$/.test(day) ? dayFormat(locale).format(new Date(day)) : day;

const NUMBERS = new Map<string, Intl.NumberFormat>();

/**
 * A decimal with all its digits, as the country writes numbers.
 *
 * @example numberText('1234.50', 'de-DE') // '1.234,50'
 */
export function numberText(decimal: string, locale: string): string {
  const digits = decimal.split('.')[1]?.length ?? 0;
  const key = `${locale}/${digits}`;
  let format = NUMBERS.get(key);
  if (format === undefined) {
    format = new Intl.NumberFormat(locale, { minimumFractionDigits: digits, maximumFractionDigits: digits });
    NUMBERS.set(key, format);
  }
  return format.format(decimal as Intl.StringNumericLiteral).replace('-', '−');
}
