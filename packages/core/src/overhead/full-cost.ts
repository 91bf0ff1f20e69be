import { money, MONTH } from '../evaluate/units.js';
import { WHOLE_BOOK, type Calculation, type Sheet } from '../evaluate/calculation.js';
import { choice, constant, gap, missing, product, sum, type Figure } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { labourHours, productCost } from '../production/index.js';
import { overhead } from './overhead.js';

/** A product with its share of the running costs. */
export interface FullCost {
  readonly productionOverhead: Figure;
  readonly productionCost: Figure;
  readonly nonProductionOverhead: Figure;
  /** Both shares of the running costs together. */
  readonly overhead: Figure;
  readonly fullCost: Figure;
  readonly overheadPerMonth: Figure;
}

/**
 * Production cost of a good unit = variable cost + production rate x labour hours in it; full cost = that +
 * non-production rate x the same hours. The share of a month = both shares x planned units.
 */
export const fullCost: Calculation<FullCost> = {
  name: 'fullCost',
  meanings: {
    productionOverhead:
      'The share of the running costs of production that one unit carries (fixed production overhead).',
    productionCost: 'What it costs to produce one good unit, running costs of production included (production cost).',
    nonProductionOverhead: 'The share of the other running costs that one unit carries (non-production overhead).',
    overhead: 'The share of the running costs that one unit carries (absorbed overhead).',
    fullCost: 'What one good unit costs with its share of the running costs (full cost).',
    overheadPerMonth: 'The share of the running costs that the planned units of this product carry in a month.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? '';
    const output = unit(row?.outputUnit ?? 'each');
    const perUnit = money(sheet).per(output);
    const cost = sheet.read(productCost, productId);
    const hours = sheet.read(labourHours, productId).perUnit;
    const rates = sheet.read(overhead, WHOLE_BOOK);
    const called = (name: string) => ({ name, subject });
    const production = product(called('Production overhead'), rates.productionRate, hours);
    const nonProduction = product(called('Non-production overhead'), rates.nonProductionRate, hours);
    const share = sum(called('Share of running costs'), perUnit, [production, nonProduction]);
    const productionCost = sum(called('Production cost'), perUnit, [cost.variableCost, production]);
    const full = sum(called('Full cost'), perUnit, [productionCost, nonProduction]);
    return {
      productionOverhead: production,
      productionCost,
      nonProductionOverhead: nonProduction,
      overhead: share,
      fullCost: full,
      overheadPerMonth: product(
        { name: 'Share of running costs per month', subject },
        share,
        plannedUnits(sheet, productId),
      ),
    };
  },
};

/** Planned units of a product per month as a figure, or the gap that asks for them. What is archived is not planned. */
export function plannedUnits(sheet: Sheet, productId: string): Figure {
  const row = sheet.row('product', productId);
  const subject = row?.name ?? 'this product';
  const leaf = { name: 'Planned units per month', subject, unit: unit(row?.outputUnit ?? 'each').per(MONTH) };
  const whenEmpty = () =>
    gap('no-planned-units', { kind: 'product', id: productId, field: 'plannedUnitsPerMonth' }, { subject });
  if (row?.archived)
    return choice(leaf, constant('Nothing', '0', leaf.unit, 'archived'), 'an archived product is not planned');
  return row === undefined
    ? missing(leaf, whenEmpty())
    : sheet.input('product', row, 'plannedUnitsPerMonth', { ...leaf, whenEmpty });
}
