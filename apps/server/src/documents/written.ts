import { dayText } from '@nuvar/book';
import { fixedDigits, minorDigits } from '@nuvar/core';

/** How a document writes amounts and days: as the country of its book does. */
export interface Written {
  readonly money: (amount: string | null) => string;
  /** A unit cost: two digits more than the currency has. */
  readonly unitCost: (amount: string | null) => string;
  readonly number: (amount: string | null, most: number) => string;
  /** With so many digits, no more and no fewer. */
  readonly decimals: (amount: string | null, digits: number) => string;
  readonly day: (day: string) => string;
}

/** What stands where an amount is not known. */
const NOT_KNOWN = '–';

export function writtenIn(locale: string, currency: string): Written {
  const digits = minorDigits(currency);
  const format = (amount: string | null, least: number, most: number) => {
    if (amount === null) return NOT_KNOWN;
    // What is rounded to nothing has no sign.
    const rounded = fixedDigits(amount, most, 'half-away-from-zero').replace(/^-(?=0(\.0*)?$)/, '');
    return new Intl.NumberFormat(locale, { minimumFractionDigits: least, maximumFractionDigits: most }).format(
      rounded as unknown as number,
    );
  };
  return {
    money: (amount) => format(amount, digits, digits),
    unitCost: (amount) => format(amount, digits + 2, digits + 2),
    number: (amount, most) => format(amount, 0, most),
    decimals: (amount, exactly) => format(amount, exactly, exactly),
    day: (day) => dayText(day, locale),
  };
}
