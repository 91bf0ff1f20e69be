import type { PriceBasis, RowOf } from '@nuvar/book';
import { constant, type Figure, missing, multiplied, percentOf, quotient, sum } from '../figure/index.js';
import { labourHours, plannedAt } from '../production/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { bookCurrency, type Calculation, HOUR, money, MONTH, type Sheet, YEAR } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { floorPrice, priceForTarget, type ReachedPrice, suggestedPrice, type Target } from './price-for-target.js';
import { costOfDispatched } from './returns.js';
import type { UnitCost } from './sale.js';
import type { SaleTerms } from './sale-terms.js';
import { unitCostOf } from './unit-cost.js';
import { priceAfter, setPrice, type SetPrice } from './set-price.js';

/** Other prices that a set price is compared with: list prices, each with what it is after the standing discount. */
export interface PriceLimits {
  readonly exactPrice: Figure;
  readonly suggested: Figure;
  readonly contributionFloor: Figure;
  readonly profitFloor: Figure;
  readonly suggestedDiscounted: Figure;
  readonly contributionFloorDiscounted: Figure;
  readonly profitFloorDiscounted: Figure;
}

/**
 * The price that is suggested for the target of a price point, and the two floors: contribution zero, and profit zero.
 * All are list prices, worked out so that the target is reached after the standing discount.
 */
export const priceLimits: Calculation<PriceLimits> = {
  name: 'priceLimits',
  meanings: {
    exactPrice: 'The price that exactly reaches the target, before rounding.',
    suggested: 'The lowest price that reaches the target, rounded to the price ending.',
    contributionFloor: 'The price below which each sale loses money, even before overheads (contribution is zero).',
    profitFloor: 'The price at which a sale just covers its full cost (profit is zero).',
    suggestedDiscounted: 'The suggested price after the discount.',
    contributionFloorDiscounted: 'The price at which contribution is zero, after the discount.',
    profitFloorDiscounted: 'The price at which profit is zero, after the discount.',
  },
  work(sheet, pricePointId) {
    const { sold, price } = sheet.read(setPrice, pricePointId);
    if (sold === null) return noLimits(price);
    const { dispatched, whole } = costsOf(sheet, sold);
    const currency = bookCurrency(sheet);
    const floor = (cost: Figure, name: string) => floorPrice(cost, sold.terms, currency, sold.product.name, name);
    const reached = targetPrice(sheet, sold, whole, currency);
    const { ending, endingDirection } = sold.point;
    const suggested = suggestedPrice(reached, ending, endingDirection, currency, sold.product.name);
    const contributionFloor = floor(dispatched, 'Price at which contribution is zero');
    const profitFloor = floor(whole, 'Price at which profit is zero');
    const discounted = (listed: Figure) => priceAfter(listed, sold.terms, sold.product.name);
    return {
      exactPrice: reached.exact,
      suggested,
      contributionFloor,
      profitFloor,
      suggestedDiscounted: discounted(suggested),
      contributionFloorDiscounted: discounted(contributionFloor),
      profitFloorDiscounted: discounted(profitFloor),
    };
  },
};

const costsOf = (sheet: Sheet, { product, point, terms }: NonNullable<SetPrice['sold']>) =>
  costsToCover(unitCostOf(sheet, product.id, point.channelId), terms, product.name);

/** The exact price at which one of the ranges begins that reach the target; the id is "point@place of the range". */
export const exactPriceOnStretch: Calculation<{ exact: Figure }> = {
  name: 'exactPriceOnStretch',
  meanings: { exact: 'The exact list price from which on the target is reached on this stretch of the fees.' },
  work(sheet, id) {
    const [pointId = '', place = '0'] = id.split('@');
    const { sold, price } = sheet.read(setPrice, pointId);
    if (sold === null) return { exact: price };
    const reached = targetPrice(sheet, sold, costsOf(sheet, sold).whole, bookCurrency(sheet));
    return { exact: reached.exacts()[Number(place)] ?? reached.exact };
  },
};

function noLimits(price: Figure): PriceLimits {
  return {
    exactPrice: price,
    suggested: price,
    contributionFloor: price,
    profitFloor: price,
    suggestedDiscounted: price,
    contributionFloorDiscounted: price,
    profitFloorDiscounted: price,
  };
}

/** What one unit dispatched costs, without what comes back as new: what changes with it, and all of it with the channel's fees of the period on average. */
export function costsToCover(
  { changingCost, fixedInUnit, fullCost }: UnitCost,
  { returns, periodFee }: SaleTerms,
  subject: string,
): { dispatched: Figure; whole: Figure } {
  const dispatched = costOfDispatched(changingCost, returns);
  const all =
    dispatched === changingCost
      ? fullCost
      : sum({ name: 'Full cost, without what comes back as new', subject }, fullCost.unit, [dispatched, fixedInUnit]);
  const whole =
    periodFee === null
      ? all
      : sum({ name: 'Full cost and fees of the period', subject }, fullCost.unit, [all, periodFee]);
  return { dispatched, whole };
}

function targetPrice(sheet: Sheet, sold: NonNullable<SetPrice['sold']>, cost: Figure, currency: string): ReachedPrice {
  const { point, product, terms } = sold;
  const subject = product.name;
  if (point.basis === 'typed')
    return {
      exact: missing(
        { name: 'Suggested price', subject, unit: money(sheet).per(unit(product.outputUnit)) },
        sellingGap('price-is-typed', null, { subject }),
      ),
      listed: null,
      ranges: () => [],
      exacts: () => [],
      fromZero: null,
    };
  return priceForTarget(targetOf(sheet, point, product, point.basis), terms, cost, subject, currency);
}

/**
 * The target of a price: a margin in percent, or the amount that one unit is to leave. Markup = so many percent of the full
 * cost; profit per hour x productive hours in a unit; return = so many percent a year of what is invested / units planned in a
 * year. Gaps: no target; nothing invested; no hours; nothing planned.
 */
export function targetOf(
  sheet: Sheet,
  point: RowOf<'pricePoint'>,
  product: RowOf<'product'>,
  basis: Exclude<PriceBasis, 'typed'>,
): Target {
  const subject = product.name;
  const perUnit = money(sheet).per(unit(product.outputUnit));
  const typed = sheet.input('pricePoint', point, 'target', {
    name: `Target ${basis}`,
    subject,
    unit: basis === 'profit' ? perUnit : basis === 'profit per hour' ? money(sheet).per(HOUR) : PERCENT,
    whenEmpty: (place) => sellingGap('no-target', place, { subject }),
  });
  const { place } = typed;
  switch (basis) {
    case 'margin':
    case 'margin of the price':
      return { basis, wanted: typed, place };
    case 'markup': {
      const { fullCost } = unitCostOf(sheet, product.id, point.channelId);
      return { basis: 'amount', wanted: percentOf({ name: 'Target markup', subject }, typed, fullCost), place };
    }
    case 'profit':
      return { basis: 'amount', wanted: typed, place };
    case 'profit per hour': {
      const hours = sheet.read(labourHours, product.id).perUnit;
      return {
        basis: 'amount',
        wanted: multiplied({ name: 'Target profit for its hours', subject }, typed, hours),
        place,
      };
    }
    case 'return':
      return { basis: 'amount', wanted: returnOnInvested(sheet, point, product, typed), place };
  }
}

const MONTHS_A_YEAR = constant('Months in a year', '12', MONTH.per(YEAR), 'definition');

function returnOnInvested(
  sheet: Sheet,
  point: RowOf<'pricePoint'>,
  { name: subject }: RowOf<'product'>,
  rate: Figure,
): Figure {
  const invested = sheet.input('pricePoint', point, 'invested', {
    name: 'Invested',
    subject,
    unit: money(sheet).per(YEAR),
    whenEmpty: (place) => sellingGap('no-invested', place, { subject }),
  });
  const planned = multiplied({ name: 'Units planned in a year', subject }, plannedAt(sheet, point), MONTHS_A_YEAR);
  return quotient(
    { name: 'Return for one unit', subject },
    percentOf({ name: 'Return in a year', subject }, rate, invested),
    planned,
  );
}
