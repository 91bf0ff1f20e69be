import { channelTake, feeAtPrice, isInForce } from '../selling/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, shown, shownAll } from './figure-view.js';

/** What a channel takes of a price that is tried. */
export interface ChannelView {
  readonly fees: FigureView;
  readonly left: FigureView;
  readonly each: Readonly<Record<string, { readonly amount: FigureView; readonly isInForce: boolean }>>;
}

/** Each fee of a channel at a price that is tried, and what is left of it; the id is "channel@price" or "channel@price@product". */
export function channelView(evaluation: Evaluation, id: string): ChannelView {
  const [channelId = '', ...tried] = id.split('@');
  const { sheet } = evaluation;
  return {
    ...shownAll(evaluation, channelTake, id, ['fees', 'left']),
    each: Object.fromEntries(
      sheet.rowsOf('feeRule', 'channelId', channelId).map((rule) => [
        rule.id,
        {
          amount: shown(evaluation, feeAtPrice, [rule.id, ...tried].join('@'), 'amount'),
          isInForce: isInForce(rule, sheet.asOf),
        },
      ]),
    ),
  };
}
