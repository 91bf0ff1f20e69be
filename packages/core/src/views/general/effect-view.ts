import type { Override } from '@nuvar/book';
import { fullCost } from '../../costing/index.js';
import { isWhole } from '../../figure/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** What overrides do to the full cost of one product. */
export interface EffectView {
  readonly id: string;
  readonly name: string;
  /** Exact, as decimal strings; null where the cost is not known whole. */
  readonly before: string | null;
  readonly after: string | null;
  /** Null where one of the two is not known, or the cost before is zero or less. */
  readonly changePercent: string | null;
}

/** What overrides would do to the full cost of products, before anybody makes them a change. */
export function effectOf(
  evaluation: Evaluation,
  overrides: readonly Override[],
  productIds: readonly string[],
): EffectView[] {
  const costsIn = ({ read }: Evaluation) =>
    productIds.map((id) => {
      const figure = read(fullCost, id).fullCost;
      return isWhole(figure) ? figure.amount : null;
    });
  const before = costsIn(evaluation);
  const fork = evaluation.fork(overrides);
  const after = costsIn(fork);
  fork.end();
  return productIds.map((id, index) => {
    const [was, is] = [before[index] ?? null, after[index] ?? null];
    return {
      id,
      name: evaluation.sheet.row('product', id)?.name ?? '',
      before: was?.toFixed() ?? null,
      after: is?.toFixed() ?? null,
      changePercent: was === null || is === null || was.lte(0) ? null : is.minus(was).div(was).mul(100).toFixed(),
    };
  });
}
