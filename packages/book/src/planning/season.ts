import { DecimalText, Name, Row } from '../fields/index.js';

/** The months of a year, as the fields of a season. */
export const MONTH_FIELDS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const;
export type MonthField = (typeof MONTH_FIELDS)[number];

const weight = (label: string) => DecimalText({ label, from: '0', to: '1000000' });

/** The shape of a year: how strong each month is against the others. Only their proportion counts. */
export class Season extends Row {
  @Name({ label: 'Season' })
  name!: string;

  @weight('Jan')
  january = '1';

  @weight('Feb')
  february = '1';

  @weight('Mar')
  march = '1';

  @weight('Apr')
  april = '1';

  @weight('May')
  may = '1';

  @weight('Jun')
  june = '1';

  @weight('Jul')
  july = '1';

  @weight('Aug')
  august = '1';

  @weight('Sep')
  september = '1';

  @weight('Oct')
  october = '1';

  @weight('Nov')
  november = '1';

  @weight('Dec')
  december = '1';
}
