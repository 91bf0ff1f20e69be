import { dayText, numberText } from '@nuvar/book';
import { unit } from '../quantity/index.js';
import { type Calculation, type Sheet, WHOLE_BOOK } from './calculation.js';

/** Units of the periods and events that costs are counted by. */
export const BATCH = unit('batch');
export const MONTH = unit('month');
export const WEEK = unit('week');
export const YEAR = unit('year');
export const DAY = unit('day');
export const HOUR = unit('h');
export const MINUTE = unit('min');
export const ORDER = unit('order');
export const LISTING = unit('listing');
/** Units of output, whatever each product counts them in. */
export const OUTPUT = unit('unit');
export const LINE = unit('line');
/** What an activity is counted by that is typed for each product. */
export const DRIVER_UNIT = unit('driver unit');
export const LOAD = unit('load');
/** Space in a shared run, in whatever it is counted by. */
export const SPACE = unit('place');

const currencyCode: Calculation<string> = {
  name: 'currency',
  meanings: {},
  work: (sheet) => sheet.settings().currency,
};

/** The code of the book's currency. Read by way of a result of its own: other settings do not move what depends on it. */
export const bookCurrency = (sheet: Sheet) => sheet.read(currencyCode, WHOLE_BOOK);

const countryOfBook: Calculation<string> = {
  name: 'country',
  meanings: {},
  work: (sheet) => sheet.settings().locale,
};

/** A day, for a sentence or a note, as the country of the book writes it. */
export const dayIn = (sheet: Sheet, day: string): string => dayText(day, sheet.read(countryOfBook, WHOLE_BOOK));

/** A decimal, for a sentence or a note, as the country of the book writes it. */
export const numberIn = (sheet: Sheet, decimal: string): string =>
  numberText(decimal, sheet.read(countryOfBook, WHOLE_BOOK));

/** The unit of the book's money. */
export const money = (sheet: Sheet) => unit(bookCurrency(sheet));
