import type { Calculation } from '../evaluate/calculation.js';
import { product, type Figure } from '../figure/index.js';
import { batch } from '../production/index.js';
import { fullCost } from './full-cost.js';

/** The subtotals of a card that carry running costs, for one batch. */
export type FullBatchCost = Readonly<
  Record<'productionOverhead' | 'productionCost' | 'nonProductionOverhead' | 'fullCost', Figure>
>;

/** What a batch costs with its share of the running costs: each subtotal of a good unit x the good units of a batch. */
export const fullBatchCost: Calculation<FullBatchCost> = {
  name: 'fullBatchCost',
  meanings: {
    productionOverhead: 'The share of the running costs of production that one batch carries.',
    productionCost: 'What it costs to produce one batch, running costs of production included.',
    nonProductionOverhead: 'The share of the other running costs that one batch carries.',
    fullCost: 'What one batch costs with its share of the running costs.',
  },
  work(sheet, productId) {
    const full = sheet.read(fullCost, productId);
    const { good } = sheet.read(batch, productId);
    const perBatch = (figure: Figure) =>
      product({ name: `${figure.name} per batch`, subject: figure.subject }, figure, good);
    return {
      productionOverhead: perBatch(full.productionOverhead),
      productionCost: perBatch(full.productionCost),
      nonProductionOverhead: perBatch(full.nonProductionOverhead),
      fullCost: perBatch(full.fullCost),
    };
  },
};
