import { Choice, CurrencyCode, Day, DecimalText, Row } from '../fields/index.js';

export const RATE_SOURCES = ['typed', 'simulated service'] as const;
export type RateSource = (typeof RATE_SOURCES)[number];

/** What one unit of a foreign currency is worth in the book's currency, from a day on. */
export class ExchangeRate extends Row {
  @CurrencyCode({ label: 'Currency' })
  currency!: string;

  @Day({ label: 'From' })
  validFrom!: string;

  /** Units of the book's currency for one unit of the foreign one. */
  @DecimalText({ label: 'Rate', above: '0', to: '1000000000' })
  rate!: string;

  @Choice(RATE_SOURCES, { label: 'Source' })
  source: RateSource = 'typed';
}
