import type { RowOf } from '@nuvar/book';
import type { Figure } from '../figure/index.js';
import { compared, decimal } from '../number/index.js';
import { unit } from '../quantity/index.js';
import { money, type Sheet } from '../sheet/index.js';

/** The price of each unit of an order: that of the largest quantity that it reaches; null below the smallest. */
export function priceAtQuantity(
  sheet: Sheet,
  point: RowOf<'pricePoint'>,
  product: RowOf<'product'>,
  units: string,
): Figure | null {
  const reached = sheet
    .rowsOf('quantityBreak', 'pricePointId', point.id)
    .filter(({ fromQuantity }) => compared(decimal(fromQuantity), decimal(units)) <= 0)
    .reduce<RowOf<'quantityBreak'> | null>(
      (so, row) => (so === null || compared(decimal(row.fromQuantity), decimal(so.fromQuantity)) > 0 ? row : so),
      null,
    );
  if (reached === null) return null;
  return sheet.input('quantityBreak', reached, 'price', {
    name: `Price from ${reached.fromQuantity} units`,
    subject: product.name,
    unit: money(sheet).per(unit(product.outputUnit)),
  });
}
