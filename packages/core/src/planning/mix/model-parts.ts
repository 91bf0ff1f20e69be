import type { MixGoal, MixTotalSide } from '@nuvar/book';
import type { Figure, Gap } from '../../figure/index.js';
import type { Sheet } from '../../sheet/index.js';
import type { ModelTotal } from './mix-model.js';
import { mixTotalOutcome } from './mix-outcome.js';

/** A figure as a binary float; zero where it is not known. */
export const plain = (figure: Figure | null): number => figure?.amount?.toNumber() ?? 0;
export const plainOr = <Otherwise>(figure: Figure | null, otherwise: Otherwise) =>
  figure?.amount == null ? otherwise : figure.amount.toNumber();

/** What of the terms of a line counts in a goal. */
export const GAIN = {
  contribution: 'contribution',
  'profit after set-up': 'contribution',
  'operating profit': 'contribution',
  revenue: 'revenue',
  'least cost': 'variableCost',
} as const;

/** What is not known of some figures. */
export const lackingOf = (figures: readonly (Figure | null)[]): readonly Gap[] =>
  figures.flatMap((figure) => figure?.gaps ?? []);

export const countsMoney = (goal: MixGoal) => goal !== 'revenue' && goal !== 'units';
export const countsSetUps = (goal: MixGoal) => countsMoney(goal) && goal !== 'contribution';
export const goalOf = (sheet: Sheet, planId: string): MixGoal => sheet.row('mixPlan', planId)?.goal ?? 'contribution';

/** Notes what is not known; true where nothing is. */
export type IsKnown = (gaps: readonly Gap[]) => boolean;

/** Collects what is not known of a plan while its model is written. */
export function gapsOfModel(): { readonly isKnown: IsKnown; readonly all: () => readonly Gap[] } {
  const gaps: Gap[] = [];
  return {
    isKnown(found) {
      gaps.push(...found);
      return found.length === 0;
    },
    all: () => [...new Map(gaps.map((gap) => [`${gap.code}|${gap.place?.id}|${gap.place?.field}`, gap])).values()],
  };
}

/** The totals of a plan; `places` says where in the model a line is: once, or once for each period in which it is sold. */
export function modelTotals(
  sheet: Sheet,
  planId: string,
  places: ReadonlyMap<string, readonly number[]>,
  isKnown: IsKnown,
): ModelTotal[] {
  return sheet.rowsOf('mixTotal', 'planId', planId).flatMap(({ id, name, rule, measure }): ModelTotal[] => {
    const stated = sheet.read(mixTotalOutcome, id).stated;
    if (!isKnown(lackingOf([stated]))) return [];
    const sides = new Map(
      sheet.rowsOf('mixTotalProduct', 'totalId', id).flatMap(({ mixProductId, side }) => {
        return (places.get(mixProductId) ?? []).map((product) => [product, side] as const);
      }),
    );
    const amount = plain(stated);
    if (measure !== 'share of all') {
      const sign = (side: MixTotalSide) => (measure === 'difference' && side === 'against' ? -1 : 1);
      const terms = [...sides].map(([product, side]) => [product, sign(side)] as const);
      return [{ id, name, rule, measure, stated: amount, units: amount, terms }];
    }
    // At most 40 % of all: 60 % of what is counted less 40 % of the rest is at most nothing.
    const share = amount / 100;
    const terms = [...places.values()].flat().map((at) => [at, (sides.has(at) ? 1 : 0) - share] as const);
    return [{ id, name, rule, measure, stated: amount, units: 0, terms }];
  });
}
