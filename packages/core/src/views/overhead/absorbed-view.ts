import { absorbedMonth, proratedOverhead } from '../../overhead/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

type Always = 'budget' | 'budgetBasis' | 'rate' | 'actual' | 'absorbed' | 'difference' | 'expenditure' | 'volume';
const PRORATED = ['shared', 'toCostOfSalesWhole', 'toProgress', 'toStock', 'toCostOfSales'] as const;
type Prorated = (typeof PRORATED)[number];
type OnStandard = 'absorbedStandard' | 'differenceStandard' | 'capacity' | 'efficiency';

/** A month of production overhead: what was absorbed, and why it differs from what came. */
export type AbsorbedView = Readonly<Record<Always | Prorated, FigureView>> &
  Readonly<Record<OnStandard, FigureView | null>>;

/** Over- or under-absorbed overhead of a month, split; the id is that of the row. */
export function absorbedView(evaluation: Evaluation, id: string): AbsorbedView {
  const figures = evaluation.read(absorbedMonth, id);
  const onStandard = (member: OnStandard) =>
    figures[member] === null ? null : shown(evaluation, absorbedMonth, id, member);
  return {
    ...shownAll(evaluation, absorbedMonth, id, [
      ...(['budget', 'budgetBasis', 'rate', 'actual', 'absorbed', 'difference', 'expenditure', 'volume'] as const),
    ]),
    ...shownAll(evaluation, proratedOverhead, id, PRORATED),
    absorbedStandard: onStandard('absorbedStandard'),
    differenceStandard: onStandard('differenceStandard'),
    capacity: onStandard('capacity'),
    efficiency: onStandard('efficiency'),
  };
}
