import { type Figure, isWhole, multiplied, quotient, shaped } from '../figure/index.js';
import { compared, decimal, ONE, withoutNoise } from '../number/index.js';
import { priceAtQuantity } from '../price/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, ORDER } from '../sheet/index.js';
import { setPrice } from './set-price.js';

/**
 * From how many units on an order costs the customer more than a larger one at the price of its quantity: the first whole number
 * above quantity x its price / the price just below it. Null where no smaller order does. The id is that of the price by quantity.
 */
export const dearerOrder: Calculation<{ dearerFrom: Figure | null }> = {
  name: 'dearerOrder',
  meanings: { dearerFrom: 'From so many units on, an order costs more than one of the larger quantity.' },
  work(sheet, breakId) {
    const row = sheet.row('quantityBreak', breakId);
    const point = row && sheet.row('pricePoint', row.pricePointId);
    const product = point && sheet.row('product', point.productId);
    if (row === undefined || point === undefined || product === undefined) return { dearerFrom: null };
    const named = (name: string) => ({ name, subject: product.name });
    const perOrder = unit(product.outputUnit).per(ORDER);
    const quantity = sheet.input('quantityBreak', row, 'fromQuantity', { ...named('Quantity'), unit: perOrder });
    const price = priceAtQuantity(sheet, point, product, row.fromQuantity);
    const below = decimal(row.fromQuantity).minus(ONE).toFixed();
    const dearer = priceAtQuantity(sheet, point, product, below) ?? sheet.read(setPrice, point.id).listPrice;
    if (price === null || !isWhole(dearer) || dearer.amount.isZero()) return { dearerFrom: null };
    const equal = quotient(
      named('Units that cost as much'),
      multiplied(named('An order of the quantity'), price, quantity),
      dearer,
    );
    const dearerFrom = shaped(
      named('Costs more from'),
      equal,
      (amount) => withoutNoise(amount).floor().plus(ONE),
      'the next whole unit above',
    );
    return { dearerFrom: isBelow(dearerFrom, quantity) ? dearerFrom : null };
  },
};

const isBelow = (figure: Figure, other: Figure): boolean =>
  isWhole(figure) && isWhole(other) && compared(figure.amount, other.amount) < 0;
