import { type Figure, gap, missing } from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../sheet/index.js';
import { floorPrice, priceForTarget, withEnding } from './price-for-target.js';
import { unitCostOf } from './price-point.js';
import { type SetPrice, setPrice } from './set-price.js';

/** Other prices that a set price is held against. */
export interface PriceLimits {
  readonly suggested: Figure;
  readonly contributionFloor: Figure;
  readonly profitFloor: Figure;
}

/** The price that is suggested for the target of a price point, and the two floors: contribution zero, and profit zero. */
export const priceLimits: Calculation<PriceLimits> = {
  name: 'priceLimits',
  meanings: {
    suggested: 'The lowest price that reaches the target, brought to the price ending.',
    contributionFloor:
      'The price under which each sale costs you money, even with the rent paid (contribution is zero).',
    profitFloor: 'The price at which a sale just carries its full cost (profit is zero).',
  },
  work(sheet, pricePointId) {
    const { sold, price } = sheet.read(setPrice, pricePointId);
    if (sold === null) return { suggested: price, contributionFloor: price, profitFloor: price };
    const { variableCost, fullCost } = unitCostOf(sheet, sold.product.id);
    const currency = bookCurrency(sheet);
    const floor = (cost: Figure, name: string) => floorPrice(cost, sold.terms, currency, sold.product.name, name);
    return {
      suggested: suggestedPrice(sheet, sold, fullCost, currency),
      contributionFloor: floor(variableCost, 'Price at which contribution is zero'),
      profitFloor: floor(fullCost, 'Price at which profit is zero'),
    };
  },
};

function suggestedPrice(
  sheet: Sheet,
  { point, product, terms }: NonNullable<SetPrice['sold']>,
  cost: Figure,
  currency: string,
): Figure {
  const subject = product.name;
  const perUnit = money(sheet).per(unit(product.outputUnit));
  if (point.basis === 'typed')
    return missing({ name: 'Suggested price', subject, unit: perUnit }, gap('price-is-typed', null, { subject }));
  const target = sheet.input('pricePoint', point, 'target', {
    name: `Wanted ${point.basis}`,
    subject,
    unit: point.basis === 'profit' ? perUnit : PERCENT,
    whenEmpty: (place) => gap('no-target', place, { subject }),
  });
  const lowest = priceForTarget(point.basis, target, terms, cost, currency, subject);
  return withEnding(lowest, point.ending, point.endingDirection, subject);
}
