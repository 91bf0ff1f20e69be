import { Choice, CurrencyCode, DecimalText, Flag, Name, Text, WholeNumber } from './fields/index.js';
import { WeekdaysRow } from './overhead/weekdays.js';
import { PLANNING_BASES, STOCK_METHODS, type PlanningBasis, type StockMethod } from './purchasing/planning-basis.js';

/** The country settings that a book may have: they decide how numbers and dates are read and shown. */
export const LOCALES = [
  'en-GB',
  'en-IE',
  'en-US',
  'en-CA',
  'en-AU',
  'en-NZ',
  'en-IN',
  'en-ZA',
  'de-DE',
  'de-AT',
  'de-CH',
  'fr-FR',
  'fr-BE',
  'nl-NL',
  'it-IT',
  'es-ES',
  'pt-PT',
  'pt-BR',
  'sv-SE',
  'da-DK',
  'nb-NO',
  'fi-FI',
  'pl-PL',
  'cs-CZ',
  'ja-JP',
] as const;

export const ROUNDING_MODES = ['half-away-from-zero', 'half-even'] as const;
export type RoundingMode = (typeof ROUNDING_MODES)[number];

/** How it is known on which days the business is open. */
export const OPEN_DAY_RULES = ['days a week', 'calendar'] as const;
export type OpenDayRule = (typeof OPEN_DAY_RULES)[number];

/** The settings of a book. There is exactly one such row, and its id is the id of the book. */
export class Settings extends WeekdaysRow {
  @Name({ label: 'Name of the book' })
  name!: string;

  @CurrencyCode({ label: 'Currency' })
  currency = 'EUR';

  @Choice(LOCALES, { label: 'Country' })
  locale: string = 'en-IE';

  @Choice(ROUNDING_MODES, { label: 'Rounding' })
  rounding: RoundingMode = 'half-away-from-zero';

  @DecimalText({ label: 'Sales tax', from: '0', to: '100' })
  salesTaxPercent = '0';

  @Flag({ label: 'Prices include sales tax' })
  pricesIncludeTax = true;

  /** Days a week less closed days, or the calendar: the open weekdays of the settings and its seasons less the closed days. */
  @Choice(OPEN_DAY_RULES, { label: 'Open days by' })
  openDayRule: OpenDayRule = 'days a week';

  @WholeNumber({ label: 'Open days per week', from: 1, to: 7 })
  openDaysPerWeek = 5;

  @DecimalText({ label: 'Closed days per year', from: '0', to: '300' })
  closedDaysPerYear = '0';

  /** Typed open days per month; where empty they follow from the open days per week. */
  @DecimalText({ label: 'Open days per month', above: '0', to: '31', nullable: true })
  openDaysPerMonth: string | null = null;

  /** Productive labour hours of a normal month: paid hours x their productive share (IAS 2, paragraph 13: normal capacity). */
  @DecimalText({ label: 'Normal productive hours per month', above: '0', to: '1000000', nullable: true })
  normalLabourHoursPerMonth: string | null = null;

  /** What is paid back on loans in a month: no cost, but cash that has to be earned. */
  @DecimalText({ label: 'Loan repayments a month', from: '0', to: '1000000000' })
  repaymentsPerMonth = '0';

  /** Whether the plan makes whole batches only: for hours and materials needed. Unit costs count batches in fractions. */
  @Flag({ label: 'Plan in whole batches' })
  wholeBatches = false;

  /** What a kilowatt-hour costs. */
  @DecimalText({ label: 'Electricity per kWh', from: '0', to: '1000', nullable: true })
  electricityPerKilowattHour: string | null = null;

  /** What a square metre of floor costs in a year: rent, rates, heating. */
  @DecimalText({ label: 'Floor, a m² a year', from: '0', to: '1000000', nullable: true })
  floorCostPerYear: string | null = null;

  /** Whether the simulated rate service is asked for exchange rates; where not, they are typed. */
  @Flag({ label: 'Use the simulated rate service' })
  useRateService = true;

  /** What stands at the head of quotes: name, address, numbers. */
  @Text({ label: 'Letterhead' })
  letterhead = '';

  /** How materials are planned that do not say otherwise. */
  @Choice(PLANNING_BASES, { label: 'Planning basis' })
  planningBasis: PlanningBasis = 'latest';

  @WholeNumber({ label: 'Months looked at', from: 1, to: 120 })
  planningMonths = 12;

  @DecimalText({ label: 'Buffer on material prices', from: '0', to: '1000' })
  bufferPercent = '0';

  /** How stock is valued (IAS 2.21 to .27). */
  @Choice(STOCK_METHODS, { label: 'Stock valued by' })
  stockMethod: StockMethod = 'moving average';

  /** What one order costs, however large: writing it, receiving it, paying it. */
  @DecimalText({ label: 'Cost of an order', from: '0', to: '1000000' })
  costPerOrder = '0';

  /** What a year of keeping stock costs, as a percentage of what it is worth: room, insurance, spoilage, interest. */
  @DecimalText({ label: 'Cost of holding stock, % a year', from: '0', to: '1000' })
  holdingPercent = '0';
}
