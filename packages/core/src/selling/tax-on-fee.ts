import type { RowOf } from '@nuvar/book';
import { constant, type Figure, percentOf, sum } from '../figure/index.js';
import { inputTax } from '../purchasing/index.js';
import { PERCENT } from '../quantity/index.js';
import type { Sheet } from '../sheet/index.js';

type TaxedOnTop = 'feeRule' | 'carrierTable';

const ALL = constant('The amount before tax', '100', PERCENT, 'definition');

/** 100 % and what is not recovered of the tax on top of a row's amounts; null where there is no tax on them. */
export function taxedShare<K extends TaxedOnTop>(sheet: Sheet, kind: K, row: RowOf<K>): Figure | null {
  if (row.taxPercent === null) return null;
  const rate = sheet.input(kind, row, 'taxPercent', { name: 'Tax on top', subject: row.name, unit: PERCENT });
  const lost = percentOf('Tax that is not recovered', sheet.read(inputTax, sheet.asOf).unrecovered, rate);
  return sum('The amount with its tax', PERCENT, [ALL, lost]);
}

/** An amount of a row with the tax on it that is not recovered. */
export function withTaxNotRecovered<K extends TaxedOnTop>(
  sheet: Sheet,
  kind: K,
  row: RowOf<K>,
  amount: Figure,
): Figure {
  const share = taxedShare(sheet, kind, row);
  return share === null
    ? amount
    : percentOf({ name: `${amount.name} with tax not recovered`, subject: amount.subject }, share, amount);
}
