import { chainBack, chainPrice } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** What the sellers after a channel make of its price. */
export interface ChainView {
  readonly steps: readonly { readonly id: string; readonly name: string; readonly asked: FigureView }[];
  /** What stands on the shelf, with sales tax. */
  readonly shelf: FigureView;
  /** What is left for the maker of a shelf price that is tried; null where none is. */
  readonly back: FigureView | null;
}

/** The chain of sellers after a price, and back from a price on the shelf; the id is "point" or "point@shelf price". */
export function chainView(evaluation: Evaluation, id: string): ChainView {
  const [pointId = '', tried = ''] = id.split('@');
  const channelId = evaluation.sheet.row('pricePoint', pointId)?.channelId ?? '';
  return {
    steps: evaluation.sheet.rowsOf('chainStep', 'channelId', channelId).map((step) => ({
      id: step.id,
      name: step.name,
      asked: shown(evaluation, chainPrice, `${pointId}@${step.id}`, 'asked'),
    })),
    shelf: shown(evaluation, chainPrice, `${pointId}@shelf`, 'asked'),
    back: tried === '' ? null : shown(evaluation, chainBack, `${pointId}@${tried}`, 'left'),
  };
}
