import { minorUnit } from '../../money/index.js';
import { fallsShort, ZERO } from '../../number/index.js';
import { bookCurrency } from '../../sheet/index.js';
import { pricePoint, priceRatios, reachesTarget, setPrice } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** How a price stands against its floors and its target. */
export type PriceStanding = 'loses each sale' | 'below full cost' | 'below target' | 'good' | 'not known';

/** A product in one channel, as a cell of the price board. */
export interface BoardCell {
  readonly pointId: string;
  readonly price: FigureView;
  readonly contribution: FigureView;
  readonly profit: FigureView;
  readonly margin: FigureView;
  readonly standing: PriceStanding;
}

/** A product on the price board: its cells by channel. */
export type BoardRow = Readonly<Record<string, BoardCell>>;

export function boardRowView(evaluation: Evaluation, productId: string): BoardRow {
  return Object.fromEntries(
    evaluation.sheet.rowsOf('pricePoint', 'productId', productId).map(({ id, channelId }) => [
      channelId,
      {
        pointId: id,
        price: shown(evaluation, setPrice, id, 'price'),
        ...shownAll(evaluation, pricePoint, id, ['contribution', 'profit']),
        margin: shown(evaluation, priceRatios, id, 'margin'),
        standing: standingOf(evaluation, id),
      },
    ]),
  );
}

/** Where a price stands: below the price at which contribution is zero, or profit, or below its target. */
export function standingOf(evaluation: Evaluation, pointId: string): PriceStanding {
  const { contribution, profit } = evaluation.read(pricePoint, pointId);
  if (contribution.amount === null) return 'not known';
  const step = minorUnit(bookCurrency(evaluation.sheet));
  if (fallsShort(contribution.amount, ZERO, step)) return 'loses each sale';
  if (profit.amount !== null && fallsShort(profit.amount, ZERO, step)) return 'below full cost';
  return reachesTarget(evaluation.sheet, pointId) === false ? 'below target' : 'good';
}
