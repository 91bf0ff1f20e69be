import { mixRanking, mixUse, productsOfMix } from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** What a product takes of a resource, as a figure to open; the id is "product@resource", by their rows in the plan. */
export interface MixUseView {
  readonly perUnit: FigureView;
  readonly forSetUp: FigureView | null;
}

export function mixUseView(evaluation: Evaluation, id: string): MixUseView {
  const { forSetUp } = evaluation.read(mixUse, id);
  return {
    perUnit: shown(evaluation, mixUse, id, 'perUnit'),
    forSetUp: forSetUp === null ? null : shown(evaluation, mixUse, id, 'forSetUp'),
  };
}

/** How the products of a plan rank by one resource, in the order of the products. */
export interface MixRankingView {
  readonly id: string;
  readonly contribution: FigureView;
  readonly throughputRatio: FigureView | null;
}

export function mixRankingView(evaluation: Evaluation, resourceId: string): MixRankingView[] {
  const { sheet } = evaluation;
  return productsOfMix(sheet, sheet.row('mixResource', resourceId)?.planId ?? '').map(({ id }) => {
    const asked = `${id}@${resourceId}`;
    const hasRatio = evaluation.read(mixRanking, asked).throughputRatio !== null;
    return {
      id,
      contribution: shown(evaluation, mixRanking, asked, 'contribution'),
      throughputRatio: hasRatio ? shown(evaluation, mixRanking, asked, 'throughputRatio') : null,
    };
  });
}
