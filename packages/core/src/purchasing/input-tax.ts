import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, percentOf, sum, wholeOf } from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, dayIn, type Sheet, WHOLE_BOOK } from '../sheet/index.js';

const ALL = constant('All of the tax', '100', PERCENT, 'definition');
const NET = constant('The amount without tax', '100', PERCENT, 'definition');

/** How much of the tax on purchases is a cost. */
export interface InputTax {
  /** In percent of the tax: what is not recovered. */
  readonly unrecovered: Figure;
}

/** The newest registration for sales tax that has begun on the day of the evaluation; null where there is none. */
export const registrationInForce: Calculation<RowOf<'taxRegistration'> | null> = {
  name: 'registrationInForce',
  meanings: {},
  work(sheet) {
    const begun = sheet.all('taxRegistration').filter(({ validFrom }) => validFrom <= sheet.asOf);
    return begun.reduce<RowOf<'taxRegistration'> | null>(
      (so, row) => (so === null || row.validFrom >= so.validFrom ? row : so),
      null,
    );
  },
};

/**
 * The share of input tax that is not recovered on the day of the evaluation: by the newest registration that has begun, 100 %
 * less what it recovers, or all of it where the business is not registered. Without any registration a book with sales tax
 * in its settings counts as registered and recovers all.
 */
export const inputTax: Calculation<InputTax> = {
  name: 'inputTax',
  meanings: { unrecovered: 'The share of the tax on purchases that is not recovered, and so is a cost.' },
  work(sheet) {
    const newest = sheet.read(registrationInForce, WHOLE_BOOK);
    const name = 'Input tax not recovered';
    if (newest === null) {
      const isRegistered = sheet.settings().salesTaxPercent !== '0';
      const why = isRegistered ? 'the settings have sales tax' : 'no sales tax in the settings';
      return { unrecovered: constant(name, isRegistered ? '0' : '100', PERCENT, why) };
    }
    if (!newest.registered)
      return { unrecovered: constant(name, '100', PERCENT, `not registered from ${dayIn(sheet, newest.validFrom)}`) };
    const recovered = sheet.input('taxRegistration', newest, 'recoveredPercent', {
      name: 'Input tax recovered',
      subject: dayIn(sheet, newest.validFrom),
      unit: PERCENT,
    });
    return { unrecovered: difference(name, ALL, recovered) };
  },
};

type Taxed = 'supplierPrice' | 'runningCost' | 'shipmentCharge';

/**
 * What an amount costs with the tax on it: net + the tax that is not recovered (IAS 2.11). Net = amount / (1 + t) where the
 * tax is inside, else the amount. An amount of which no tax is stated is its own cost.
 */
export function costWithTax<K extends Taxed>(sheet: Sheet, kind: K, row: RowOf<K>, amount: Figure): Figure {
  if (row.taxPercent === null) return amount;
  const { subject } = amount;
  const called = (name: string) => ({ name, subject });
  const rate = sheet.input(kind, row, 'taxPercent', { name: 'Tax rate', subject, unit: PERCENT });
  const net = row.taxInside
    ? wholeOf(called(`${amount.name} before tax`), amount, sum('With tax', PERCENT, [NET, rate]))
    : amount;
  const tax = percentOf(called('Tax'), rate, net);
  const { unrecovered } = sheet.read(inputTax, WHOLE_BOOK);
  const lost = percentOf(called('Tax not recovered'), unrecovered, tax);
  return sum(called(`${amount.name} with tax not recovered`), amount.unit, [net, lost]);
}
