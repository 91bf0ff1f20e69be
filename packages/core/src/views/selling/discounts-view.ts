import { isDecimalText } from '@nuvar/book';
import { bundle, discountStep, pricePoint } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** The discounts of the ladder, in percent. */
export const LADDER = ['0', '5', '10', '15', '20', '25', '30', '40', '50'] as const;

export interface DiscountRow {
  /** One discount, or several one after the other: "10+5". */
  readonly series: string;
  readonly figures: Readonly<
    Record<'priceAfter' | 'asOne' | 'contribution' | 'profit' | 'margin' | 'unitsToEarnTheSame', FigureView>
  >;
}

/** True for one discount or a series of them, each from 0 to under 100 %. */
export const isSeries = (text: string): boolean =>
  text.split('+').every((each) => isDecimalText(each) && Number(each) >= 0 && Number(each) < 100);

/** A ladder of discounts of a price, and a series that is tried; the id is "point" or "point@10+5". */
export function discountsView(evaluation: Evaluation, id: string): DiscountRow[] {
  const [pointId = '', tried = ''] = id.split('@');
  const series = tried !== '' && isSeries(tried) ? [tried, ...LADDER] : LADDER;
  return series.map((each) => ({
    series: each,
    figures: shownAll(evaluation, discountStep, `${pointId}@${each}`, [
      'priceAfter',
      'asOne',
      'contribution',
      'profit',
      'margin',
      'unitsToEarnTheSame',
    ]),
  }));
}

/** A bundle against what its parts cost one by one; null where that cannot be said. */
export function bundleView(evaluation: Evaluation, pointId: string) {
  if (evaluation.read(bundle, pointId).singly === null) return null;
  return {
    ...shownAll(evaluation, bundle, pointId, ['singly', 'saved', 'savedPercent', 'contributionSingly']),
    contribution: shown(evaluation, pricePoint, pointId, 'contribution'),
  };
}
