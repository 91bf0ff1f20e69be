import { choice, difference, type Figure, largest, multiplied, constant } from '../figure/index.js';
import { isPositive } from '../number/index.js';
import { productsUsing } from '../production/index.js';
import { replacementCost, stockOnHand } from '../purchasing/index.js';
import { type Calculation, money } from '../sheet/index.js';
import { pricePoint } from './price-point.js';

/** Stock of a material against what it brings; null throughout where it need not be written down. */
export interface NetRealisable {
  /** What buying it again would cost, per base unit: what it is written down to. */
  readonly replacement: Figure | null;
  /** What its stock value is written down by. */
  readonly writeDown: Figure | null;
  /** The products that sell below cost, by id. */
  readonly products: readonly string[];
}

const NOTHING: NetRealisable = { replacement: null, writeDown: null, products: [] };

/**
 * Write-down of the stock of a material to net realisable value: none where a product that it goes into sells at or above
 * cost; else (stock value per base unit - replacement cost) x quantity, where that is above zero (IAS 2.28 and .32). Cost is
 * the full cost, with all the overhead that is absorbed: the book does not yet tell production overheads from others.
 */
export const netRealisable: Calculation<NetRealisable> = {
  name: 'netRealisable',
  meanings: {
    replacement: 'What one base unit would cost if it were bought again.',
    writeDown: 'By how much the stock of the material is worth more in the ledger than it brings.',
  },
  work(sheet, materialId) {
    const { quantity, perBaseUnit } = sheet.read(stockOnHand, materialId);
    const material = sheet.row('material', materialId);
    if (material === undefined || quantity === null || perBaseUnit === null) return NOTHING;
    if (quantity.amount === null || !isPositive(quantity.amount)) return NOTHING;
    const sold = productsUsing(sheet, materialId).flatMap(({ id }) =>
      sheet
        .rowsOf('pricePoint', 'productId', id)
        .map((point) => ({ id, profit: sheet.read(pricePoint, point.id).profit })),
    );
    const sellsBelowCost = ({ profit }: { profit: Figure }) => profit.amount?.isNegative() === true;
    if (sold.length === 0 || !sold.every(sellsBelowCost)) return NOTHING;
    const called = (name: string) => ({ name, subject: material.name });
    const replacement = replacementCost(sheet, material);
    if (replacement.amount === null) return NOTHING;
    const excess = difference(called('Above replacement cost'), perBaseUnit, replacement);
    if (excess.amount === null || !isPositive(excess.amount)) return NOTHING;
    const none = constant('No write-down', '0', money(sheet), 'definition');
    const because = 'what it goes into sells below cost, and buying it again would cost less';
    const writeDown = choice(
      called('Write-down'),
      largest(
        called('Write-down'),
        [multiplied(called('Excess of the stock value'), excess, quantity), none],
        'never below zero',
      ),
      because,
    );
    return { replacement, writeDown, products: [...new Set(sold.map(({ id }) => id))] };
  },
};
