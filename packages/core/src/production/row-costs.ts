import type { Kind } from '@nuvar/book';
import { difference, type Figure, ofMissingRow, sum } from '../figure/index.js';
import { BATCH, type Calculation, HOUR, money, type Sheet } from '../sheet/index.js';
import { itemTotal } from './item-total.js';
import { costItems } from './product-cost.js';
import type { CostItem } from './taking.js';

type CostRowKind = 'billLine' | 'labourStep' | 'equipmentUse' | 'otherCost' | 'recoveredScrap';

/** The items that a row of a product brought; a step with a set-up brought two. */
function itemsOf(sheet: Sheet, kind: CostRowKind, id: string): readonly CostItem[] {
  const productId = sheet.row(kind, id)?.productId;
  if (productId === undefined) return [];
  return sheet.read(costItems, productId).filter(({ taking }) => taking.kind === kind && taking.id === id);
}

/** One figure of a row, from the figures of its items: the only one as it is, else their sum; of none it is missing. */
function together(sheet: Sheet, name: string, kind: Kind, figures: readonly Figure[]): Figure {
  const [only] = figures;
  if (only === undefined) return ofMissingRow({ name, unit: money(sheet).per(BATCH) }, `a ${kind}`);
  return figures.length === 1 ? only : sum({ name, subject: only.subject }, only.unit, figures);
}

const costOf = (sheet: Sheet, kind: CostRowKind, id: string): Figure =>
  together(
    sheet,
    'Cost per batch',
    kind,
    itemsOf(sheet, kind, id).map((item) => itemTotal(sheet, item)),
  );

const quantityOf = (sheet: Sheet, name: string, kind: CostRowKind, id: string): Figure =>
  together(
    sheet,
    name,
    kind,
    itemsOf(sheet, kind, id).map(({ taking }) => taking.quantity),
  );

// What each row of a product costs a batch, for whoever wants to open it.

/** What a bill line takes of a batch and costs it. */
export const lineCost: Calculation<{ total: Figure; quantity: Figure }> = {
  name: 'billLine',
  meanings: {
    total: 'What this line costs for one batch.',
    quantity: 'The quantity of this line in one batch, including waste (gross quantity).',
  },
  work: (sheet, id) => ({
    total: costOf(sheet, 'billLine', id),
    quantity: quantityOf(sheet, 'Quantity per batch', 'billLine', id),
  }),
};

/** What a labour step takes of a batch, set-up included, and costs it. */
export const labourStepCost: Calculation<{ hours: Figure; cost: Figure }> = {
  name: 'labourStep',
  meanings: {
    hours: 'Productive hours that this step takes for one batch, all people and the set-up together.',
    cost: 'What this step costs for one batch.',
  },
  work(sheet, id) {
    const hours = itemsOf(sheet, 'labourStep', id).map(({ taking }) => taking.quantity);
    return {
      hours: sum({ name: 'Productive hours', subject: hours[0]?.subject ?? '' }, HOUR.per(BATCH), hours),
      cost: costOf(sheet, 'labourStep', id),
    };
  },
};

/** What a use of equipment takes of a batch and costs it. */
export const equipmentUseCost: Calculation<{ perBatch: Figure; taken: Figure }> = {
  name: 'equipmentUse',
  meanings: {
    perBatch: 'What this equipment costs for one batch.',
    taken: 'Hours of the equipment, or places in the shared load, for one batch.',
  },
  work: (sheet, id) => ({
    perBatch: costOf(sheet, 'equipmentUse', id),
    taken: quantityOf(sheet, 'Taken per batch', 'equipmentUse', id),
  }),
};

/** What a direct expense costs a batch. */
export const otherCost: Calculation<{ perBatch: Figure }> = {
  name: 'otherCost',
  meanings: { perBatch: 'What this direct cost is for one batch.' },
  work: (sheet, id) => ({ perBatch: costOf(sheet, 'otherCost', id) }),
};

/** What the scrap of a batch is worth: its cost with the sign turned round. */
export const scrapWorth: Calculation<{ perBatch: Figure }> = {
  name: 'recoveredScrap',
  meanings: { perBatch: 'The value of by-products and scrap from one batch. It is taken off the cost of materials.' },
  work(sheet, id) {
    const cost = costOf(sheet, 'recoveredScrap', id);
    if (cost.operation === 'missing') return { perBatch: cost };
    const nothing = sum({ name: 'Nothing', subject: cost.subject }, cost.unit, []);
    return { perBatch: difference({ name: 'Recovered scrap', subject: cost.subject }, nothing, cost) };
  },
};
