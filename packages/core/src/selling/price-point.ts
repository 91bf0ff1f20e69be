import type { RowOf } from '@nuvar/book';
import { bookCurrency, money } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { difference, gap, missing, percentOf, product, quotient, rounded, type Figure } from '../figure/index.js';
import { ONE } from '../number/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { fullCost, plannedUnits } from '../overhead/index.js';
import { labourHours, productCost } from '../production/index.js';
import { floorPrice, priceForTarget, withEnding } from './price-for-target.js';
import { saleAt, type Sale, type UnitCost } from './sale.js';
import { saleTerms, THE_WHOLE } from './sale-terms.js';

/** All that follows from the price of a product in a channel. */
export interface PricePointFigures extends Sale {
  readonly price: Figure;
  readonly discounted: Figure;
  readonly suggested: Figure;
  readonly contributionFloor: Figure;
  readonly profitFloor: Figure;
  readonly contributionPerHour: Figure;
  readonly contributionPerMonth: Figure;
  readonly profitPerMonth: Figure;
  readonly undiscountedContribution: Figure;
  readonly unitsToEarnTheSame: Figure;
}

/** What one unit of a product costs, as the sale of it needs to know. */
export function unitCostOf(sheet: Sheet, productId: string): UnitCost {
  const full = sheet.read(fullCost, productId);
  return {
    variableCost: sheet.read(productCost, productId).variableCost,
    overhead: full.overhead,
    fullCost: full.fullCost,
  };
}

/**
 * A price point: the set price, the price after its discount, what is left of a sale, the suggested price for its
 * target, both floors, and what its planned units bring in a month. Units that earn the same after a discount = planned
 * units x contribution at full price / contribution after it, rounded up.
 */
export const pricePoint: Calculation<PricePointFigures> = {
  name: 'pricePoint',
  meanings: {
    price: 'The price that is set, as the customer sees it.',
    discounted: 'The price after the discount, as the customer sees it.',
    beforeTax: 'What is left of the price when the sales tax is taken out.',
    tax: 'The sales tax in what the customer pays.',
    paid: 'What the customer pays, tax included.',
    fees: 'What the place of sale takes of one unit sold.',
    contribution: 'What each sale leaves for the running costs and for profit (contribution).',
    profit: 'What is left of each sale for you when it has carried its share of the running costs.',
    margin: 'Profit in percent of the price before tax.',
    contributionMargin: 'Contribution in percent of the price before tax.',
    markup: 'Profit in percent of the full cost of the product (fees are not in that base).',
    suggested: 'The lowest price that reaches the target, brought to the price ending.',
    contributionFloor:
      'The price under which each sale costs you money, even with the rent paid (contribution is zero).',
    profitFloor: 'The price at which a sale just carries its full cost (profit is zero).',
    contributionPerHour: 'What each labour hour in this product leaves (contribution per labour hour).',
    contributionPerMonth: 'What the planned units of a month leave for the running costs and for profit.',
    profitPerMonth: 'What is left of the planned units of a month after their share of the running costs.',
    undiscountedContribution: 'What each sale would leave without the discount.',
    unitsToEarnTheSame:
      'How many units a month have to be sold at the discount to leave as much as the planned units do without it.',
  },
  work(sheet, pricePointId) {
    const point = sheet.row('pricePoint', pricePointId);
    const owner = point && sheet.row('product', point.productId);
    const channel = point && sheet.row('channel', point.channelId);
    if (point === undefined || owner === undefined || channel === undefined) return goneFigures(sheet);
    const subject = owner.name;
    const terms = saleTerms(sheet, owner, channel, point);
    const cost = unitCostOf(sheet, owner.id);
    const currency = bookCurrency(sheet);
    const price = setPrice(sheet, point, owner);
    const full = saleAt(price, terms, cost, subject);
    const discounted = point.discountPercent === '0' ? price : afterDiscount(sheet, point, price, subject);
    const sale = discounted === price ? full : saleAt(discounted, terms, cost, subject);
    const planned = plannedUnits(sheet, owner.id);
    return {
      price,
      discounted,
      ...sale,
      suggested: suggestedPrice(sheet, point, terms, cost.fullCost, owner, currency),
      contributionFloor: floorPrice(cost.variableCost, terms, currency, subject, 'Price at which contribution is zero'),
      profitFloor: floorPrice(cost.fullCost, terms, currency, subject, 'Price at which profit is zero'),
      contributionPerHour: quotient(
        { name: 'Contribution per labour hour', subject },
        sale.contribution,
        sheet.read(labourHours, owner.id).perUnit,
      ),
      contributionPerMonth: product({ name: 'Contribution per month', subject }, sale.contribution, planned),
      profitPerMonth: product({ name: 'Profit per month', subject }, sale.profit, planned),
      undiscountedContribution: full.contribution,
      unitsToEarnTheSame: unitsToEarnTheSame(planned, full.contribution, sale.contribution, subject),
    };
  },
};

function setPrice(sheet: Sheet, point: RowOf<'pricePoint'>, owner: RowOf<'product'>): Figure {
  const place = { kind: 'pricePoint', id: point.id, field: 'price' } as const;
  return sheet.input('pricePoint', point, 'price', {
    name: 'Price',
    subject: owner.name,
    unit: money(sheet).per(unit(owner.outputUnit)),
    whenEmpty: () => gap('no-selling-price', place, { subject: owner.name }),
  });
}

function afterDiscount(sheet: Sheet, point: RowOf<'pricePoint'>, price: Figure, subject: string): Figure {
  const discount = sheet.input('pricePoint', point, 'discountPercent', { name: 'Discount', subject, unit: PERCENT });
  return percentOf(
    { name: 'Price after discount', subject },
    difference('Share of the price that is left', THE_WHOLE, discount),
    price,
  );
}

function suggestedPrice(
  sheet: Sheet,
  point: RowOf<'pricePoint'>,
  terms: ReturnType<typeof saleTerms>,
  cost: Figure,
  owner: RowOf<'product'>,
  currency: string,
): Figure {
  const subject = owner.name;
  const perUnit = money(sheet).per(unit(owner.outputUnit));
  const place = { kind: 'pricePoint', id: point.id, field: 'target' } as const;
  if (point.basis === 'typed')
    return missing({ name: 'Suggested price', subject, unit: perUnit }, gap('price-is-typed', null, { subject }));
  const target = sheet.input('pricePoint', point, 'target', {
    name: `Wanted ${point.basis}`,
    subject,
    unit: point.basis === 'profit' ? perUnit : PERCENT,
    whenEmpty: () => gap('no-target', place, { subject }),
  });
  return withEnding(
    priceForTarget(point.basis, target, terms, cost, currency, subject),
    point.ending,
    point.endingDirection,
    subject,
  );
}

function unitsToEarnTheSame(planned: Figure, before: Figure, after: Figure, subject: string): Figure {
  const called = { name: 'Units that earn the same', subject };
  if (after.amount !== null && after.amount.lte(0))
    return missing({ ...called, unit: planned.unit }, gap('discount-eats-all', null), [after]);
  const needed = quotient(
    { name: 'Units needed', subject },
    product({ name: 'Earned without the discount', subject }, planned, before),
    after,
  );
  return rounded(called, needed, ONE, 'up');
}

/** The figures of a price point whose row is gone: every one says so. */
function goneFigures(sheet: Sheet): PricePointFigures {
  const gone = missing({ name: 'Price', unit: money(sheet) }, gap('row-missing', null, { subject: 'a price' }));
  return Object.fromEntries(
    Object.keys(pricePoint.meanings).map((member) => [member, gone]),
  ) as unknown as PricePointFigures;
}
