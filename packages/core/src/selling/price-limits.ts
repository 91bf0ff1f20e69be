import { type Figure, missing, percentOf } from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { floorPrice, priceForTarget, type ReachedPrice, suggestedPrice } from './price-for-target.js';
import { unitCostOf } from './unit-cost.js';
import { setPrice, type SetPrice } from './set-price.js';

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
    const { changingCost, fullCost } = unitCostOf(sheet, sold.product.id);
    const currency = bookCurrency(sheet);
    const floor = (cost: Figure, name: string) => floorPrice(cost, sold.terms, currency, sold.product.name, name);
    const reached = targetPrice(sheet, sold, fullCost, currency);
    const { ending, endingDirection } = sold.point;
    const suggested = suggestedPrice(reached, ending, endingDirection, currency, sold.product.name);
    const contributionFloor = floor(changingCost, 'Price at which contribution is zero');
    const profitFloor = floor(fullCost, 'Price at which profit is zero');
    const kept = sold.terms.keptAfterDiscount;
    const discounted = (listed: Figure) =>
      kept === null
        ? listed
        : percentOf({ name: `${listed.name}, after the discount`, subject: listed.subject }, kept, listed);
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

function targetPrice(
  sheet: Sheet,
  { point, product, terms }: NonNullable<SetPrice['sold']>,
  cost: Figure,
  currency: string,
): ReachedPrice {
  const subject = product.name;
  const perUnit = money(sheet).per(unit(product.outputUnit));
  if (point.basis === 'typed')
    return {
      exact: missing(
        { name: 'Suggested price', subject, unit: perUnit },
        sellingGap('price-is-typed', null, { subject }),
      ),
      listed: null,
    };
  const target = sheet.input('pricePoint', point, 'target', {
    name: `Target ${point.basis}`,
    subject,
    unit: point.basis === 'profit' ? perUnit : PERCENT,
    whenEmpty: (place) => sellingGap('no-target', place, { subject }),
  });
  return priceForTarget(point.basis, target, terms, cost, subject, currency);
}
