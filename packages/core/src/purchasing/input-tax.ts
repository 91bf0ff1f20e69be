import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, percentOf, sum, wholeOf } from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, dayIn, type Sheet } from '../sheet/index.js';
import { hasSalesTax, taxStatusOn } from './tax-status.js';

const ALL = constant('All of the tax', '100', PERCENT, 'definition');
const NET = constant('The amount without tax', '100', PERCENT, 'definition');

/** How the business stands to the sales tax on a day. */
export interface InputTax {
  readonly isRegistered: boolean;
  /** In percent of the tax on purchases: what is not recovered, and so is a cost. */
  readonly unrecovered: Figure;
}

/** The sales tax rates of the book: its own, and those of categories. */
const salesTaxes = (sheet: Sheet): readonly string[] => [
  sheet.settings().salesTaxPercent,
  ...sheet.all('salesTaxRate').map(({ percent }) => percent),
];

/**
 * The status of the business on a day (`taxStatusOn`), and the share of input tax that is not recovered then: 100 % less what
 * the entry in force recovers, all of it where the business is not registered, nothing where it is registered without an
 * entry. The id is the day: a plan asks for that of the evaluation, a document for its own.
 */
export const inputTax: Calculation<InputTax> = {
  name: 'inputTax',
  meanings: { unrecovered: 'The share of the tax on purchases that is not recovered, and so is a cost.' },
  work(sheet, day) {
    const entries = sheet.all('taxRegistration');
    const { isRegistered, entry } = taxStatusOn(entries, day, hasSalesTax(salesTaxes(sheet)));
    const name = 'Input tax not recovered';
    if (entry === null) {
      const why =
        entries.length > 0
          ? `${isRegistered ? 'registered' : 'not registered'} before the first entry`
          : isRegistered
            ? 'the book has a sales tax'
            : 'the book has no sales tax';
      return { isRegistered, unrecovered: constant(name, isRegistered ? '0' : '100', PERCENT, why) };
    }
    if (!isRegistered) {
      const why = `not registered from ${dayIn(sheet, entry.validFrom)}`;
      return { isRegistered, unrecovered: constant(name, '100', PERCENT, why) };
    }
    const recovered = sheet.input('taxRegistration', entry, 'recoveredPercent', {
      name: 'Input tax recovered',
      subject: dayIn(sheet, entry.validFrom),
      unit: PERCENT,
    });
    return { isRegistered, unrecovered: difference(name, ALL, recovered) };
  },
};

type Taxed = 'supplierPrice' | 'runningCost' | 'shipmentCharge' | 'shipmentLine';

/** An amount before the tax on it: amount / (1 + t) where the tax is inside, else as it is stated. */
export function netOfTax<K extends Taxed>(sheet: Sheet, kind: K, row: RowOf<K>, amount: Figure): Figure {
  if (row.taxPercent === null || !row.taxInside) return amount;
  const { subject } = amount;
  const rate = sheet.input(kind, row, 'taxPercent', { name: 'Tax rate', subject, unit: PERCENT });
  return wholeOf({ name: `${amount.name} before tax`, subject }, amount, sum('With tax', PERCENT, [NET, rate]));
}

/**
 * What an amount costs with the tax on it: net + the tax that is not recovered (IAS 2.11). Net = amount / (1 + t) where the
 * tax is inside, else the amount. An amount of which no tax is stated is its own cost. `unrecovered` is the share of the day
 * on which it is paid: that of the evaluation for a plan.
 */
export function costWithTax<K extends Taxed>(
  sheet: Sheet,
  kind: K,
  row: RowOf<K>,
  amount: Figure,
  { unrecovered }: Pick<InputTax, 'unrecovered'> = sheet.read(inputTax, sheet.asOf),
): Figure {
  if (row.taxPercent === null) return amount;
  const { subject } = amount;
  const called = (name: string) => ({ name, subject });
  const rate = sheet.input(kind, row, 'taxPercent', { name: 'Tax rate', subject, unit: PERCENT });
  const net = netOfTax(sheet, kind, row, amount);
  const tax = percentOf(called('Tax'), rate, net);
  const lost = percentOf(called('Tax not recovered'), unrecovered, tax);
  return sum(called(`${amount.name} with tax not recovered`), amount.unit, [net, lost]);
}
