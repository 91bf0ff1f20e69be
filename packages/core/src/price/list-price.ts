import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure } from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { money, type Sheet } from '../sheet/index.js';
import { priceGap } from './gaps.js';

/** The list price on the day of the evaluation: the newest dated one that has begun, else the set price. Gap: none is set. */
export function listPriceOf(sheet: Sheet, point: RowOf<'pricePoint'>, product: RowOf<'product'>): Figure {
  const leaf = { name: 'Price', subject: product.name, unit: money(sheet).per(unit(product.outputUnit)) };
  const dated = sheet
    .rowsOf('datedPrice', 'pricePointId', point.id)
    .filter(({ startsOn }) => startsOn <= sheet.asOf)
    .reduce<RowOf<'datedPrice'> | null>(
      (newest, row) => (newest === null || row.startsOn > newest.startsOn ? row : newest),
      null,
    );
  if (dated !== null) return sheet.input('datedPrice', dated, 'price', leaf);
  return sheet.input('pricePoint', point, 'price', {
    ...leaf,
    whenEmpty: (place) => priceGap('no-selling-price', place, { subject: product.name }),
  });
}

/** The whole price, of which percentages are. */
export const THE_WHOLE = constant('The price before tax', '100', PERCENT, 'definition');

/** The share of a price that is left after its standing discount, in percent; null where it has none. */
export function keptAfterDiscount(
  sheet: Sheet,
  { name: subject }: Pick<RowOf<'product'>, 'name'>,
  point: RowOf<'pricePoint'> | undefined,
): Figure | null {
  if (point === undefined || point.discountPercent === '0') return null;
  const discount = sheet.input('pricePoint', point, 'discountPercent', { name: 'Discount', subject, unit: PERCENT });
  return difference('Share of the price that is left', THE_WHOLE, discount);
}
