import { difference, type Figure, multiplied, sum } from '../figure/index.js';
import { overhead, shareOfRunningCosts } from '../overhead/index.js';
import { batch, labourHours, ownersLabour, productCost } from '../production/index.js';
import { type Calculation, WHOLE_BOOK } from '../sheet/index.js';
import { fullCost } from './full-cost.js';

type Line = 'productionOverhead' | 'productionCost' | 'nonProductionOverhead';

/** The lines of a card on which running costs stand, per good unit and per batch. */
export type OverheadOnCard = Readonly<
  Record<Line | `${Line}PerBatch` | 'fullCostPerBatch' | 'withoutOwnersTime', Figure>
>;

/**
 * The running costs on a cost card: production overhead = production rate x labour hours in a unit; production cost =
 * variable cost + that; non-production overhead = the other rate x the same hours. For a batch: each x its good units.
 */
export const overheadOnCard: Calculation<OverheadOnCard> = {
  name: 'overheadOnCard',
  meanings: {
    productionOverhead: 'The share of the production running costs in one unit (fixed production overhead).',
    productionCost: 'What one good unit costs to produce, including production running costs (production cost).',
    nonProductionOverhead: 'The share of the other running costs in one unit (non-production overhead).',
    productionOverheadPerBatch: 'The share of the production running costs in one batch.',
    productionCostPerBatch: 'What one batch costs to produce, including production running costs.',
    nonProductionOverheadPerBatch: 'The share of the other running costs in one batch.',
    withoutOwnersTime: "What one good unit costs without the owner's own time.",
    fullCostPerBatch: 'What one batch costs with its share of the running costs.',
  },
  work(sheet, productId) {
    const { variableCost } = sheet.read(productCost, productId);
    const full = sheet.read(fullCost, productId).fullCost;
    const rates = sheet.read(overhead, WHOLE_BOOK);
    const hours = sheet.read(labourHours, productId).perUnit;
    const { good } = sheet.read(batch, productId);
    const called = (name: string) => ({ name, subject: variableCost.subject });
    const perBatch = (figure: Figure) => multiplied(called(`${figure.name} per batch`), figure, good);
    const productionOverhead = shareOfRunningCosts(sheet, called('Production overhead'), rates.productionRate, hours);
    const productionCost = sum(called('Production cost'), variableCost.unit, [variableCost, productionOverhead]);
    const nonProductionOverhead = shareOfRunningCosts(
      sheet,
      called('Non-production overhead'),
      rates.nonProductionRate,
      hours,
    );
    return {
      productionOverhead,
      productionCost,
      nonProductionOverhead,
      productionOverheadPerBatch: perBatch(productionOverhead),
      productionCostPerBatch: perBatch(productionCost),
      nonProductionOverheadPerBatch: perBatch(nonProductionOverhead),
      fullCostPerBatch: perBatch(full),
      withoutOwnersTime: difference(
        called("Full cost without the owner's time"),
        full,
        sheet.read(ownersLabour, productId).perUnit,
      ),
    };
  },
};
