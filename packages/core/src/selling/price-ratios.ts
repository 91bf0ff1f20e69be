import { fullCost } from '../costing/index.js';
import { type Figure, shareOf } from '../figure/index.js';
import type { Calculation } from '../sheet/index.js';
import { pricePoint } from './price-point.js';
import { setPrice } from './set-price.js';

/** What a sale leaves, as a share: each says of what. */
export interface PriceRatios {
  readonly margin: Figure;
  readonly contributionMargin: Figure;
  readonly markup: Figure;
}

/**
 * Margin = profit / net revenue (the price before tax, where nothing is charged or refunded beside it); contribution margin =
 * contribution / net revenue; markup = profit / full cost
 * (fees are not in that base). Gaps while the full cost is partial.
 */
export const priceRatios: Calculation<PriceRatios> = {
  name: 'priceRatios',
  meanings: {
    margin: 'Profit in percent of the net revenue: the price before tax, with postage charged and less refunds.',
    contributionMargin: 'Contribution in percent of the net revenue.',
    markup: 'Profit in percent of the full cost of the product (fees are not in that base).',
  },
  work(sheet, pricePointId) {
    const { sold, netRevenue, price } = sheet.read(setPrice, pricePointId);
    if (sold === null) return { margin: price, contributionMargin: price, markup: price };
    const { contribution, profit } = sheet.read(pricePoint, pricePointId);
    const named = (name: string) => ({ name, subject: sold.product.name });
    return {
      margin: shareOf(named('Margin'), profit, netRevenue),
      contributionMargin: shareOf(named('Contribution margin'), contribution, netRevenue),
      markup: shareOf(named('Markup'), profit, sheet.read(fullCost, sold.product.id).fullCost),
    };
  },
};
