import { money, MONTH } from '../evaluate/units.js';
import { WHOLE_BOOK, type Calculation, type Sheet } from '../evaluate/calculation.js';
import { gap, missing, product, sum, type Figure } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { batch, labourHours, productCost } from '../production/index.js';
import { overhead } from './overhead.js';

/** A product with its share of the running costs. */
export interface FullCost {
  readonly overhead: Figure;
  readonly fullCost: Figure;
  readonly fullCostPerBatch: Figure;
  readonly overheadPerMonth: Figure;
}

/**
 * Full cost of a good unit = prime cost + rate x labour hours in it. The share of a month = that x planned units.
 */
export const fullCost: Calculation<FullCost> = {
  name: 'fullCost',
  meanings: {
    overhead: 'The share of the running costs that one unit carries (absorbed overhead).',
    fullCost: 'What one good unit costs with its share of the running costs (full cost).',
    fullCostPerBatch: 'What one batch costs with its share of the running costs.',
    overheadPerMonth: 'The share of the running costs that the planned units of this product carry in a month.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? '';
    const output = unit(row?.outputUnit ?? 'each');
    const perUnit = money(sheet).per(output);
    const cost = sheet.read(productCost, productId);
    const share = product(
      { name: 'Share of running costs', subject },
      sheet.read(overhead, WHOLE_BOOK).rate,
      sheet.read(labourHours, productId).perUnit,
    );
    const full = sum({ name: 'Full cost', subject }, perUnit, [cost.primeCost, share]);
    return {
      overhead: share,
      fullCost: full,
      fullCostPerBatch: product({ name: 'Full cost per batch', subject }, full, sheet.read(batch, productId).good),
      overheadPerMonth: product(
        { name: 'Share of running costs per month', subject },
        share,
        plannedUnits(sheet, productId),
      ),
    };
  },
};

/** Planned units of a product per month as a figure, or the gap that asks for them. */
export function plannedUnits(sheet: Sheet, productId: string): Figure {
  const row = sheet.row('product', productId);
  const subject = row?.name ?? 'this product';
  const leaf = { name: 'Planned units per month', subject, unit: unit(row?.outputUnit ?? 'each').per(MONTH) };
  const whenEmpty = () =>
    gap('no-planned-units', { kind: 'product', id: productId, field: 'plannedUnitsPerMonth' }, { subject });
  return row === undefined
    ? missing(leaf, whenEmpty())
    : sheet.input('product', row, 'plannedUnitsPerMonth', { ...leaf, whenEmpty });
}
