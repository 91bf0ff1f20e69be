import { type Figure, ofMissingRow } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { contributionOf, netProceedsAt, pricePoint, saleTerms, setPrice, unitCostOf } from '../selling/index.js';
import { type Calculation, money, type Sheet } from '../sheet/index.js';
import { planningGap } from './gaps.js';

/** One sale at a candidate price. */
export interface CandidateSale {
  readonly price: Figure;
  readonly beforeTax: Figure;
  readonly netRevenue: Figure;
  readonly contribution: Figure;
}

/**
 * What each sale at a candidate price leaves, on the terms on which the product is sold in that channel; or at the set
 * price, after its discount, where the id is that of a price.
 */
export const candidateSale: Calculation<CandidateSale> = {
  name: 'candidate',
  meanings: {
    price: 'The price to compare, as the customer sees it.',
    beforeTax: 'The price to compare without sales tax.',
    netRevenue: 'What each sale brings: price and postage without sales tax, less what is refunded.',
    contribution: 'What each sale at this price leaves for the running costs and for profit (contribution).',
  },
  work(sheet, candidateId) {
    if (sheet.row('pricePoint', candidateId) !== undefined) return atSetPrice(sheet, candidateId);
    const row = sheet.row('candidatePrice', candidateId);
    const product = row && sheet.row('product', row.productId);
    const channel = row && sheet.row('channel', row.channelId);
    if (row === undefined || product === undefined || channel === undefined) {
      const gone = ofMissingRow({ name: 'Price to compare', unit: money(sheet) }, 'a candidate price');
      return { price: gone, beforeTax: gone, netRevenue: gone, contribution: gone };
    }
    const perUnit = money(sheet).per(unit(product.outputUnit));
    const price = sheet.input('candidatePrice', row, 'price', {
      name: 'Price to compare',
      subject: product.name,
      unit: perUnit,
      whenEmpty: (place) => planningGap('no-candidate-price', place),
    });
    const point = sheet.rowsOf('pricePoint', 'productId', product.id).find((each) => each.channelId === channel.id);
    const terms = saleTerms(sheet, product, channel, point);
    const proceeds = netProceedsAt(price, terms, product.name);
    const contribution = contributionOf(proceeds, unitCostOf(sheet, product.id, channel.id), terms, product.name);
    return { price, beforeTax: proceeds.beforeTax, netRevenue: proceeds.netRevenue, contribution };
  },
};

function atSetPrice(sheet: Sheet, pricePointId: string): CandidateSale {
  const { discounted, beforeTax, netRevenue } = sheet.read(setPrice, pricePointId);
  return { price: discounted, beforeTax, netRevenue, contribution: sheet.read(pricePoint, pricePointId).contribution };
}
