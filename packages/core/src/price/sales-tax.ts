import { nameKey, type RowOf } from '@nuvar/book';
import { choice, constant, type Figure } from '../figure/index.js';
import { inputTax } from '../purchasing/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, type Sheet, WHOLE_BOOK } from '../sheet/index.js';

/** The sales tax rates of categories, by the key of their name. */
const ratesByCategory: Calculation<ReadonlyMap<string, RowOf<'salesTaxRate'>>> = {
  name: 'ratesByCategory',
  meanings: {},
  work: (sheet) => new Map(sheet.all('salesTaxRate').map((row) => [nameKey(row.name.trim()), row])),
};

/**
 * The sales tax on a product, in percent of the price before tax: the rate typed for its price, else that of its category, else
 * the book's; none where the business is not registered.
 */
export function salesTaxOf(
  sheet: Sheet,
  product: Pick<RowOf<'product'>, 'category'>,
  point: RowOf<'pricePoint'> | undefined,
): Figure {
  if (!sheet.read(inputTax, sheet.asOf).isRegistered)
    return choice(
      'Sales tax',
      constant('No sales tax', '0', PERCENT, 'not registered'),
      'the business is not registered',
    );
  if (point !== undefined && point.taxPercent !== null) {
    return choice(
      'Sales tax',
      sheet.input('pricePoint', point, 'taxPercent', { name: 'Sales tax of this price', unit: PERCENT }),
      'typed for this price',
    );
  }
  const category = product.category.trim();
  const rate = category === '' ? undefined : sheet.read(ratesByCategory, WHOLE_BOOK).get(nameKey(category));
  if (rate !== undefined) {
    return choice(
      'Sales tax',
      sheet.input('salesTaxRate', rate, 'percent', { name: 'Sales tax', subject: rate.name, unit: PERCENT }),
      `the rate of ${rate.name}`,
    );
  }
  return choice(
    'Sales tax',
    sheet.input('settings', sheet.settings(), 'salesTaxPercent', { name: 'Sales tax of the book', unit: PERCENT }),
    "the book's rate",
  );
}
