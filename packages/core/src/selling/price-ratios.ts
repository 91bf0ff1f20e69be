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
 * Margin = profit / price before tax; contribution margin = contribution / price before tax; markup = profit / full cost
 * (fees are not in that base). Gaps while the full cost is partial.
 */
export const priceRatios: Calculation<PriceRatios> = {
  name: 'priceRatios',
  meanings: {
    margin: 'Profit in percent of the price before tax.',
    contributionMargin: 'Contribution in percent of the price before tax.',
    markup: 'Profit in percent of the full cost of the product (fees are not in that base).',
  },
  work(sheet, pricePointId) {
    const { sold, beforeTax, price } = sheet.read(setPrice, pricePointId);
    if (sold === null) return { margin: price, contributionMargin: price, markup: price };
    const { contribution, profit } = sheet.read(pricePoint, pricePointId);
    const named = (name: string) => ({ name, subject: sold.product.name });
    return {
      margin: shareOf(named('Margin'), profit, beforeTax),
      contributionMargin: shareOf(named('Contribution margin'), contribution, beforeTax),
      markup: shareOf(named('Markup'), profit, sheet.read(fullCost, sold.product.id).fullCost),
    };
  },
};
