import { billLines } from './bill-lines.js';
import { equipmentUses } from './equipment-uses.js';
import { jointOutputs } from './joint-outputs.js';
import { labourSetUps, labourSteps } from './labour-steps.js';
import { otherCosts } from './other-costs.js';
import { recoveredScrap } from './recovered-scrap.js';
import type { CostRow, Taking } from './taking.js';
import { typedCosts } from './typed-costs.js';
import { wholeProduct } from './whole-product.js';

/** All that goes into a batch of a product with a bill, in the order of its card. */
export const COST_ROWS: readonly CostRow[] = [
  billLines,
  jointOutputs,
  labourSetUps,
  labourSteps,
  equipmentUses,
  otherCosts,
  recoveredScrap,
];

/** What stands in their place where a product has typed totals. */
export const TYPED_COST_ROWS: readonly CostRow[] = [typedCosts];

const BY_KIND = new Map([...COST_ROWS, ...TYPED_COST_ROWS, wholeProduct].map((each) => [each.kind, each]));

/** The kind of row that a taking is of. */
export function costRowOf({ kind }: Taking): CostRow {
  return BY_KIND.get(kind) ?? wholeProduct;
}
