import {
  choice,
  type Figure,
  type Gap,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
  rounded,
  sum,
} from '../figure/index.js';
import { minorDigits, minorUnit } from '../money/index.js';
import { compared, type Decimal, fixedDigits, isPositive, ONE } from '../number/index.js';
import { openDays } from '../overhead/index.js';
import { plannedAt, plannedUnits } from '../production/index.js';
import { unit } from '../quantity/index.js';
import {
  contributionOf,
  netProceedsAt,
  pricePoint,
  saleTerms,
  setPrice,
  unitBehaviour,
  unitCostOf,
} from '../selling/index.js';
import { bookCurrency, type Calculation, money, numberIn, type Sheet, WHOLE_BOOK } from '../sheet/index.js';
import { planningGap } from './gaps.js';
import { periodCostsWith } from './period-costs.js';

/** One sale at a candidate price. */
export interface CandidateSale {
  readonly price: Figure;
  readonly beforeTax: Figure;
  readonly netRevenue: Figure;
  readonly contribution: Figure;
}

/** What has to be sold at a candidate price to cover a fixed cost. */
export interface BreakEven {
  readonly fixedCost: Figure;
  readonly exactUnits: Figure;
  readonly units: Figure;
  readonly unitsPerOpenDay: Figure;
  readonly exactRevenue: Figure;
  readonly revenue: Figure;
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
    const contribution = contributionOf(proceeds, unitCostOf(sheet, product.id), terms, product.name);
    return { price, beforeTax: proceeds.beforeTax, netRevenue: proceeds.netRevenue, contribution };
  },
};

function atSetPrice(sheet: Sheet, pricePointId: string): CandidateSale {
  const { discounted, beforeTax, netRevenue } = sheet.read(setPrice, pricePointId);
  return { price: discounted, beforeTax, netRevenue, contribution: sheet.read(pricePoint, pricePointId).contribution };
}

const MEANINGS = {
  fixedCost: 'The fixed cost of a month to be covered.',
  exactUnits: 'Units a month at which the sales just cover the fixed cost, not rounded.',
  units: 'Whole units to be sold in a month before you make a profit (break-even).',
  unitsPerOpenDay: 'Break-even units spread over the open days of a month.',
  exactRevenue: 'Net revenue at the exact break-even.',
  revenue: 'Net revenue at the whole break-even units.',
};

/** Break-even of a candidate price against the whole fixed cost of the book, with the period fees of its channel and of those in use. */
export const breakEvenOfBook: Calculation<BreakEven> = {
  name: 'breakEvenOfBook',
  meanings: MEANINGS,
  work: (sheet, candidateId) =>
    breakEven(
      sheet,
      candidateId,
      choice(
        'Fixed cost per month',
        periodCostsWith(sheet, channelOf(sheet, candidateId)),
        'all fixed costs of the book',
      ),
    ),
};

/** The channel of a candidate price, or of a set price. */
const channelOf = (sheet: Sheet, id: string): string =>
  (sheet.row('candidatePrice', id) ?? sheet.row('pricePoint', id))?.channelId ?? '';

/**
 * Break-even of a candidate price against the product's own share of the fixed cost, and what its planned units carry of the
 * period fees of the channel.
 */
export const breakEvenOfShare: Calculation<BreakEven> = {
  name: 'breakEvenOfShare',
  meanings: MEANINGS,
  work(sheet, candidateId) {
    const row = sheet.row('candidatePrice', candidateId) ?? sheet.row('pricePoint', candidateId);
    const productId = row?.productId ?? '';
    const { fixedInUnit } = sheet.read(unitBehaviour, productId);
    const called = { name: 'Fixed cost of the product', subject: fixedInUnit.subject };
    const own = multiplied(called, fixedInUnit, plannedUnits(sheet, productId));
    const share = withPeriodFees(sheet, candidateId, own);
    return breakEven(
      sheet,
      candidateId,
      choice('Fixed cost per month', share, 'the share of the fixed costs that this product carries'),
    );
  },
};

/** A share of the fixed cost, and what the planned units of the product in the channel carry of its period fees. */
function withPeriodFees(sheet: Sheet, candidateId: string, share: Figure): Figure {
  const row = sheet.row('candidatePrice', candidateId) ?? sheet.row('pricePoint', candidateId);
  const product = row && sheet.row('product', row.productId);
  const channel = row && sheet.row('channel', row.channelId);
  if (row === undefined || product === undefined || channel === undefined) return share;
  const point = sheet.rowsOf('pricePoint', 'productId', product.id).find(({ channelId }) => channelId === channel.id);
  const { periodFee } = saleTerms(sheet, product, channel, point);
  if (periodFee === null) return share;
  const planned = point === undefined ? plannedUnits(sheet, product.id) : plannedAt(sheet, point);
  const fees = multiplied({ name: 'Period fees of the channel', subject: product.name }, periodFee, planned);
  return sum({ name: share.name, subject: share.subject }, share.unit, [share, fees]);
}

/**
 * Break-even units = fixed cost / contribution per unit, shown exact and rounded up to whole units (common practice);
 * net revenue at both. A contribution of zero or less is a result in words: "never breaks even", or "at any volume" where
 * there is no fixed cost either. Source: cost-volume-profit analysis, Horngren, Datar & Rajan, Cost Accounting.
 */
function breakEven(sheet: Sheet, candidateId: string, fixedCost: Figure): BreakEven {
  const sale = sheet.read(candidateSale, candidateId);
  const stated = statedResult(sheet, sale.contribution, fixedCost);
  const exactUnits =
    stated === null
      ? quotient('Break-even units, exact', fixedCost, sale.contribution)
      : missing({ name: 'Break-even units', unit: fixedCost.unit.per(sale.contribution.unit) }, stated, [
          fixedCost,
          sale.contribution,
        ]);
  const units = rounded('Break-even units', exactUnits, ONE, 'up');
  return {
    fixedCost,
    exactUnits,
    units,
    unitsPerOpenDay: quotient('Break-even units per open day', exactUnits, sheet.read(openDays, WHOLE_BOOK).perMonth),
    exactRevenue: multiplied('Revenue at break-even, exact', exactUnits, sale.netRevenue),
    revenue: multiplied('Revenue at break-even', units, sale.netRevenue),
  };
}

function statedResult(sheet: Sheet, contribution: Figure, fixedCost: Figure): Gap | null {
  if (contribution.amount === null || contribution.gaps.length > 0 || isPositive(contribution.amount)) return null;
  if (contribution.amount.isZero()) {
    return planningGap(
      fixedCost.amount?.isZero() && fixedCost.gaps.length === 0 ? 'breaks-even-at-any-volume' : 'never-breaks-even',
      null,
    );
  }
  return planningGap('loses-each-sale', null, { loss: lossInWords(sheet, contribution.amount.neg()) });
}

/** A loss in the currency's digits; in two digits of its own where it is smaller than the smallest coin. */
function lossInWords(sheet: Sheet, loss: Decimal): string {
  const currency = bookCurrency(sheet);
  const digits = minorDigits(currency);
  const isTiny = compared(loss, minorUnit(currency)) < 0;
  const written = isTiny
    ? loss.toSignificantDigits(2).toFixed()
    : fixedDigits(loss.toFixed(), digits, sheet.settings().rounding);
  return `${numberIn(sheet, written)} ${currency}`;
}
