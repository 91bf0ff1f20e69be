/** The short name of the month of a day: "Nov". */
export const monthShort = (day: string, locale: string): string =>
  new Intl.DateTimeFormat(locale, { month: 'short', timeZone: 'UTC' }).format(new Date(`${day}T00:00:00Z`));

/** The short name of a month by its number, 1 to 12. */
export const monthOfYear = (month: number, locale: string): string =>
  monthShort(`2026-${String(month).padStart(2, '0')}-01`, locale);
