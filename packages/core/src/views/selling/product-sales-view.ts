import { compared } from '../../number/index.js';
import { channelComparison, pricePoint, priceRatios, salesPerMonth, setPrice } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { stripView, type StripView } from './strip-view.js';

/** A product in one of the channels where it has a price. */
export interface ProductSale {
  readonly pointId: string;
  readonly channelId: string;
  readonly price: FigureView;
  readonly contribution: FigureView;
  readonly profit: FigureView;
  readonly margin: FigureView;
  readonly contributionPerMonth: FigureView;
  readonly strip: StripView;
  /** Against the channel that leaves most; null for that one itself. */
  readonly against: Readonly<Record<'difference' | 'unitsAtSwitch' | 'priceAtSwitch', FigureView>> | null;
}

/** A product in all its channels: the one first that leaves most of a sale; what is not known yet last. */
export function productSalesView(evaluation: Evaluation, productId: string): ProductSale[] {
  const points = evaluation.sheet.rowsOf('pricePoint', 'productId', productId).map((point) => ({
    point,
    left: evaluation.read(pricePoint, point.id).contribution.amount,
  }));
  const sorted = [...points].sort((one, other) => {
    if (one.left === null || other.left === null) return Number(one.left === null) - Number(other.left === null);
    return compared(other.left, one.left);
  });
  const best = sorted[0]?.point.id;
  return sorted.map(({ point: { id, channelId } }) => ({
    pointId: id,
    channelId,
    strip: stripView(evaluation, productId, id),
    price: shown(evaluation, setPrice, id, 'price'),
    ...shownAll(evaluation, pricePoint, id, ['contribution', 'profit']),
    margin: shown(evaluation, priceRatios, id, 'margin'),
    contributionPerMonth: shown(evaluation, salesPerMonth, id, 'contributionPerMonth'),
    against:
      best === undefined || best === id
        ? null
        : shownAll(evaluation, channelComparison, `${best}@${id}`, ['difference', 'unitsAtSwitch', 'priceAtSwitch']),
  }));
}
