import { fullCost } from '../costing/index.js';
import { labourHours } from '../production/index.js';
import { pricePoint } from '../selling/index.js';
import type { Evaluation } from '../sheet/index.js';

/**
 * What the views over the whole book will ask for, worked out one small step at a time: whoever has nothing better to do
 * takes a step, and leaves off between two of them when somebody asks for something. The hours of labour come first,
 * since every share of the running costs waits for them.
 */
export function* workAhead(evaluation: Evaluation): Generator<void, void> {
  const products = evaluation.sheet.all('product');
  for (const { id } of products) {
    evaluation.read(labourHours, id);
    yield;
  }
  for (const { id } of products) {
    evaluation.read(fullCost, id);
    yield;
  }
  for (const { id } of evaluation.sheet.all('pricePoint')) {
    evaluation.read(pricePoint, id);
    yield;
  }
}
