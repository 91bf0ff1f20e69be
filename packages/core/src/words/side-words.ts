import type { Cause, Measure, MonthLine } from '../what-if/index.js';

/** What is compared of each price. */
export const MEASURE_WORDS: Readonly<Record<Measure, string>> = {
  'contribution per month': 'Contribution a month',
  price: 'Price',
  'full cost': 'Full cost of a unit',
  contribution: 'Contribution of a unit',
  profit: 'Profit of a unit',
  margin: 'Margin',
  'units per month': 'Units a month',
};

/** What is compared of the month. */
export const MONTH_WORDS: Readonly<Record<MonthLine, string>> = {
  contribution: 'Contribution',
  'fixed costs': 'Fixed costs and period fees',
  result: 'Profit',
  covered: 'Fixed costs covered',
};

/** What a part of a bridge is called. */
export const CAUSE_WORDS: Readonly<Record<Cause | 'volume', string>> = {
  range: 'Range',
  volume: 'Quantity and mix',
  quantity: 'Quantity',
  mix: 'Mix',
  'moved by volume': 'Costs moved by volume',
  'material usage': 'Material usage',
  'labour efficiency': 'Labour efficiency',
  'equipment time': 'Equipment time',
  'material price': 'Material price',
  'labour rate': 'Labour rate',
  'equipment rate': 'Equipment rate',
  'other direct cost': 'Other direct cost',
  overhead: 'Overhead',
  price: 'Selling price',
  exchange: 'Exchange rate',
  tax: 'Sales tax',
  fees: 'Fees',
  delivery: 'Packing and postage',
  other: 'Other',
  date: 'The day',
};
