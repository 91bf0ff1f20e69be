import { overheadOnCard } from '../costing/index.js';
import { difference, type Figure, shareOf } from '../figure/index.js';
import { productCost } from '../production/index.js';
import type { Calculation } from '../sheet/index.js';
import { setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** By how much a price lies above each part of the cost that a trade marks up on. */
export interface MarkupBases {
  readonly onMaterials: Figure;
  readonly onVariableCost: Figure;
  readonly onProductionCost: Figure;
}

/**
 * Markup on a basis other than full cost = (price before tax - basis) / basis: it has to cover all that the basis leaves out
 * (cost-plus pricing: Horngren, Datar & Rajan, Cost Accounting). Gap: a basis of zero.
 */
export const markupBases: Calculation<MarkupBases> = {
  name: 'markupBases',
  meanings: {
    onMaterials: 'The price before tax above the direct materials, in percent of these.',
    onVariableCost: 'The price before tax above the variable cost, in percent of it.',
    onProductionCost: 'The price before tax above the production cost, in percent of it.',
  },
  work(sheet, pointId) {
    const { sold, beforeTax } = sheet.read(setPrice, pointId);
    if (sold === null) return { onMaterials: beforeTax, onVariableCost: beforeTax, onProductionCost: beforeTax };
    const { id, name: subject } = sold.product;
    const on = (words: string, basis: Figure) => {
      const above = difference({ name: `Price above ${words}`, subject }, beforeTax, basis);
      return shareOf({ name: `Markup on ${words}`, subject }, above, basis);
    };
    return {
      onMaterials: on('direct materials', sheet.read(productCost, id).directMaterials),
      onVariableCost: on('variable cost', unitCostOf(sheet, id, sold.point.channelId).changingCost),
      onProductionCost: on('production cost', sheet.read(overheadOnCard, id).productionCost),
    };
  },
};
