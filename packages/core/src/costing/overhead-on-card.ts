import { difference, type Figure, multiplied, sum } from '../figure/index.js';
import { productOverhead } from '../overhead/index.js';
import { batch, ownersLabour, productCost } from '../production/index.js';
import type { Calculation } from '../sheet/index.js';
import { fullCost } from './full-cost.js';

type Line = 'variableOverhead' | 'productionOverhead' | 'productionCost' | 'nonProductionOverhead';

/** The lines of a card on which running costs stand, per good unit and per batch. */
export type OverheadOnCard = Readonly<
  Record<Line | `${Line}PerBatch` | 'fullCostPerBatch' | 'withoutOwnersTime', Figure>
>;

/**
 * The running costs on a cost card: production cost = cost before overhead + variable running costs of production + fixed
 * production overhead; non-production overhead, variable or not, enters full cost only. For a batch: each x its good units.
 */
export const overheadOnCard: Calculation<OverheadOnCard> = {
  name: 'overheadOnCard',
  meanings: {
    variableOverhead: 'The running costs of production that each unit brings (variable production overhead).',
    productionOverhead: 'The share of the production running costs in one unit (fixed production overhead).',
    productionCost: 'What one good unit costs to produce, including production running costs (production cost).',
    nonProductionOverhead: 'The share of the other running costs in one unit (non-production overhead).',
    variableOverheadPerBatch: 'The running costs of production that each batch brings.',
    productionOverheadPerBatch: 'The share of the production running costs in one batch.',
    productionCostPerBatch: 'What one batch costs to produce, including production running costs.',
    nonProductionOverheadPerBatch: 'The share of the other running costs in one batch.',
    withoutOwnersTime: "What one good unit costs without the owner's own time.",
    fullCostPerBatch: 'What one batch costs with its share of the running costs.',
  },
  work(sheet, productId) {
    const { variableCost } = sheet.read(productCost, productId);
    const full = sheet.read(fullCost, productId).fullCost;
    const shares = sheet.read(productOverhead, productId);
    const { good } = sheet.read(batch, productId);
    const called = (name: string) => ({ name, subject: variableCost.subject });
    const perBatch = (figure: Figure) => multiplied(called(`${figure.name} per batch`), figure, good);
    const together = (name: string, parts: readonly Figure[]) => sum(called(name), variableCost.unit, parts);
    const { variableProduction: variableOverhead, production: productionOverhead } = shares;
    const isAny = (figure: Figure) => figure.parts.length > 0;
    const productionCost = together('Production cost', [
      variableCost,
      ...[variableOverhead].filter(isAny),
      productionOverhead,
    ]);
    const nonProductionOverhead = isAny(shares.variableNonProduction)
      ? together('Non-production overhead', [shares.nonProduction, shares.variableNonProduction])
      : shares.nonProduction;
    return {
      variableOverhead,
      productionOverhead,
      productionCost,
      nonProductionOverhead,
      variableOverheadPerBatch: perBatch(variableOverhead),
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
