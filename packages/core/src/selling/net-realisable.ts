import type { RowOf } from '@nuvar/book';
import { overheadOnCard } from '../costing/index.js';
import { choice, difference, type Figure, isWhole, largest, multiplied, quotient, sum } from '../figure/index.js';
import { isPositive } from '../number/index.js';
import { productsUsing, resourceUse } from '../production/index.js';
import { materialPrice, replacementCost, stockOnHand } from '../purchasing/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import { pricePoint } from './price-point.js';
import { setPrice } from './set-price.js';

/** Stock of a material against what it brings; null throughout where it need not be written down. */
export interface NetRealisable {
  /** What a base unit is written down to: the net realisable value of goods for resale, the replacement cost of materials. */
  readonly writtenDownTo: Figure | null;
  /** What its stock value is written down by. */
  readonly writeDown: Figure | null;
  /** The products that sell below cost, by id. */
  readonly products: readonly string[];
  readonly isForResale: boolean;
}

/** A product at one of its prices, with what it takes of a material. */
interface Sold {
  readonly product: RowOf<'product'>;
  /** Price before tax less costs to sell. */
  readonly proceeds: Figure;
  /** What producing a unit costs, with the material at its planning price. */
  readonly productionCost: Figure;
  readonly taken: Figure;
}

/**
 * Write-down of the stock of a material to net realisable value (IAS 2.6, .28 to .32), item by item:
 *
 * - Goods for resale: net realisable value = (price before tax - costs to sell - costs to complete) / what a unit takes of
 *   them, at the price that brings the most; written down where that is below their book value.
 * - Materials: none while a product that they go into sells at or above its production cost, with the material at its
 *   **book value** and not at the price of today; else to replacement cost, where that is below.
 *
 * Archived products are no use of a material. Nothing is said while a price, a cost or a use is not known in full.
 */
export const netRealisable: Calculation<NetRealisable> = {
  name: 'netRealisable',
  meanings: {
    writtenDownTo: 'What one base unit brings, or would cost if it were bought again.',
    writeDown: 'By how much the stock of the material is worth more in the ledger than it brings.',
  },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const held = inStock(sheet, materialId);
    const isForResale = material?.kind === 'resale';
    const nothing: NetRealisable = { writtenDownTo: null, writeDown: null, products: [], isForResale };
    if (material === undefined || held === null) return nothing;
    const { quantity, perBaseUnit } = held;
    const sold = soldWith(sheet, material);
    const worth = isForResale ? broughtByResale(sheet, material, sold) : replacedAt(sheet, material, sold, perBaseUnit);
    const called = (name: string) => ({ name, subject: material.name });
    const excess = worth && difference(called('Above what it brings'), perBaseUnit, worth);
    if (excess?.amount == null || !isPositive(excess.amount)) return nothing;
    const because = isForResale
      ? 'it sells for less than it cost'
      : 'what it goes into sells below cost, and buying it again would cost less';
    return {
      isForResale,
      writtenDownTo: worth,
      products: [...new Set(sold.map(({ product }) => product.id))],
      writeDown: choice(
        called('Write-down'),
        multiplied(called('Excess of the stock value'), excess, quantity),
        because,
      ),
    };
  },
};

/** How much is in stock and what a base unit of it is worth there; null where there is nothing, or it is not known. */
function inStock(sheet: Sheet, materialId: string): { readonly quantity: Figure; readonly perBaseUnit: Figure } | null {
  const { quantity, perBaseUnit } = sheet.read(stockOnHand, materialId);
  if (quantity?.amount == null || perBaseUnit?.amount == null) return null;
  return isPositive(quantity.amount) ? { quantity, perBaseUnit } : null;
}

/** The prices of the products that use a material, as far as all of their figures are known. */
function soldWith(sheet: Sheet, material: RowOf<'material'>): Sold[] {
  const products = productsUsing(sheet, material.id).filter(({ archived, quoted }) => !archived && !quoted);
  return products.flatMap((product) =>
    sheet.rowsOf('pricePoint', 'productId', product.id).flatMap((point): Sold[] => {
      const { beforeTax } = sheet.read(setPrice, point.id);
      const { sellingCost } = sheet.read(pricePoint, point.id);
      const { productionCost } = sheet.read(overheadOnCard, product.id);
      const taken = sheet.read(resourceUse, `${product.id}@material.${material.id}`).perUnit;
      if (![beforeTax, sellingCost, productionCost, taken].every(isWhole) || !isPositive(taken.amount as never))
        return [];
      const proceeds = difference({ name: 'Price less costs to sell', subject: product.name }, beforeTax, sellingCost);
      return [{ product, proceeds, productionCost, taken }];
    }),
  );
}

/** What a base unit of goods for resale brings at the best of their prices. */
function broughtByResale(sheet: Sheet, material: RowOf<'material'>, sold: readonly Sold[]): Figure | null {
  const { perBaseUnit } = sheet.read(materialPrice, material.id);
  if (!isWhole(perBaseUnit) || sold.length === 0) return null;
  const brought = sold.map(({ product, proceeds, productionCost, taken }) => {
    const called = (name: string) => ({ name, subject: product.name });
    const itself = multiplied(called('Of which the goods'), taken, perBaseUnit);
    const toComplete = difference(called('Costs to complete'), productionCost, itself);
    return quotient(
      called('Net realisable value'),
      difference(called('Left for the goods'), proceeds, toComplete),
      taken,
    );
  });
  return largest(
    { name: 'Net realisable value', subject: material.name },
    brought,
    'at the price that brings the most',
  );
}

/** What materials are written down to; null while a product sells at or above its cost at their book value. */
function replacedAt(
  sheet: Sheet,
  material: RowOf<'material'>,
  sold: readonly Sold[],
  bookValue: Figure,
): Figure | null {
  const { perBaseUnit } = sheet.read(materialPrice, material.id);
  const sellsBelowCost = ({ product, proceeds, productionCost, taken }: Sold) => {
    const called = (name: string) => ({ name, subject: product.name });
    const above = difference(called('Book value above the planning price'), bookValue, perBaseUnit);
    const atBook = sum(called('Production cost at book value'), productionCost.unit, [
      productionCost,
      multiplied(called('Book value in a unit'), taken, above),
    ]);
    return difference(called('Left after its cost'), proceeds, atBook).amount?.isNegative() === true;
  };
  return sold.length > 0 && sold.every(sellsBelowCost) ? replacementCost(sheet, material) : null;
}
