import type { RowOf } from '@nuvar/book';
import { difference, type Figure, percentOf, quotient, rounded, shareOf, sum } from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { PERCENT } from '../../quantity/index.js';
import { bookCurrency, type Sheet } from '../../sheet/index.js';
import { THE_WHOLE } from '../../price/index.js';
import type { QuotedOption } from './quoted-option.js';

/**
 * An option of a quote that was sent: price, cost, contingency and tax stay as they were offered, whatever moves later; what its
 * cost has become since stands beside it, in minor units.
 */
export function optionAsSent(
  sheet: Sheet,
  option: RowOf<'quoteOption'>,
  units: Figure,
  today: QuotedOption,
): QuotedOption {
  const { subject } = today.total;
  const named = (name: string) => ({ name, subject });
  const kept = (
    field: 'sentPrice' | 'sentCost' | 'sentContingency' | 'sentVariableCost' | 'sentTaxPercent',
    name: string,
    unit = today.total.unit,
  ) => sheet.input('quoteOption', option, field, { ...named(name), unit });
  const price = kept('sentPrice', 'Price as sent');
  const cost = kept('sentCost', 'Cost as sent');
  const contingency = kept('sentContingency', 'Contingency as sent');
  const variableCost = kept('sentVariableCost', 'Variable cost as sent');
  const tax = kept('sentTaxPercent', 'Sales tax as sent', PERCENT);
  const total = sum(named('Cost with contingency'), cost.unit, [cost, contingency]);
  const profit = difference(named('Profit'), price, total);
  const apart = difference(named('Cost today, more than as sent'), today.total, total);
  const moved = rounded(named('Cost moved since'), apart, minorUnit(bookCurrency(sheet)), sheet.settings().rounding);
  return {
    unitCost: quotient(named('Cost of one as sent'), cost, units),
    averageTime: null,
    labourSaved: null,
    cost,
    contingency,
    total,
    suggested: price,
    price,
    perUnit: quotient(named('Price of a unit'), price, units),
    tax,
    paid: percentOf(named('Price with tax'), sum('Price with tax', PERCENT, [THE_WHOLE, tax]), price),
    profit,
    margin: shareOf(named('Margin'), profit, price),
    contribution: difference(named('Contribution'), price, variableCost),
    variableCost,
    costMoved: moved.amount?.isZero() === true ? null : moved,
  };
}
