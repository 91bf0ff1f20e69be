import { channelTake, feeAtPrice, isInForce, isOfPeriod, periodFees, periodRules } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** What a channel takes of a price that is tried. */
export interface ChannelView {
  readonly fees: FigureView;
  readonly left: FigureView;
  /** What the fees by the month, the day and the listing come to in a month; null where there are none. */
  readonly perMonth: FigureView | null;
  readonly each: Readonly<Record<string, { readonly amount: FigureView | null; readonly isInForce: boolean }>>;
}

/** Each fee of a channel that comes with a sale at a price that is tried, and what is left of it; the id is "channel@price" or "channel@price@product". */
export function channelView(evaluation: Evaluation, id: string): ChannelView {
  const [channelId = '', ...tried] = id.split('@');
  const { sheet } = evaluation;
  return {
    ...shownAll(evaluation, channelTake, id, ['fees', 'left']),
    perMonth: periodRules(sheet, channelId).length === 0 ? null : shown(evaluation, periodFees, channelId, 'perMonth'),
    each: Object.fromEntries(
      sheet.rowsOf('feeRule', 'channelId', channelId).map((rule) => [
        rule.id,
        {
          amount: isOfPeriod(rule) ? null : shown(evaluation, feeAtPrice, [rule.id, ...tried].join('@'), 'amount'),
          isInForce: isInForce(rule, sheet.asOf),
        },
      ]),
    ),
  };
}
