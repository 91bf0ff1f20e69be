import { type Figure, sum } from '../figure/index.js';
import { BATCH, money, type Sheet } from '../sheet/index.js';
import { ELEMENTS } from './elements.js';
import type { CostItem } from './taking.js';

/** What an item costs the batch, all elements together. */
export function itemTotal(sheet: Sheet, item: CostItem): Figure {
  const { taking } = item;
  const parts = ELEMENTS.map((element) => item[element]).filter((part) => part !== null);
  const [only] = parts;
  // Of a material it is called what it is; of a component, the one element inside it is not the line.
  if (only !== undefined && parts.length === 1 && taking.of?.kind !== 'product') return only;
  return sum({ name: 'Cost per batch', subject: taking.of?.name ?? '' }, money(sheet).per(BATCH), parts);
}
