import type { Override } from '@nuvar/book';
import { productOverhead } from '../../overhead/index.js';
import { isWhole } from '../../figure/index.js';
import { plannedSales } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** What one running cost is in a unit of a product. */
export interface BillShare {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  /** Exact; null where the overhead is not known whole. */
  readonly perUnit: string | null;
}

/**
 * What one running cost is in a unit of each planned product: the overhead of the unit with it, less the overhead without
 * it. The id is that of the running cost.
 */
export function billShareView(evaluation: Evaluation, costId: string): BillShare[] {
  const { sheet } = evaluation;
  const none = { how: 'set', value: '0', field: 'amount' } as const;
  const fork = evaluation.fork([
    { kind: 'runningCost', id: costId, ...none },
    ...(['costIncrease', 'costStep'] as const).flatMap((kind) =>
      sheet.idsOf(kind, 'runningCostId', costId).map((id): Override => ({ kind, id, ...none })),
    ),
  ]);
  const shares = sheet
    .all('product')
    .filter(({ id, archived }) => !archived && plannedSales(sheet, id).length > 0)
    .map(({ id, name, outputUnit }): BillShare => {
      const [all, without] = [evaluation, fork].map(({ read }) => read(productOverhead, id).total);
      const isKnown = all !== undefined && without !== undefined && isWhole(all) && isWhole(without);
      return { id, name, unit: outputUnit, perUnit: isKnown ? all.amount.minus(without.amount).toFixed() : null };
    });
  fork.end();
  return shares;
}
