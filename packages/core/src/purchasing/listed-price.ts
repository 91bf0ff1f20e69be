import type { RowOf } from '@nuvar/book';
import { decimal } from '../number/index.js';
import { type Figure, figureGap, type Gap, missing, multiplied, quotient } from '../figure/index.js';
import { NUMBER, unit, unitWord } from '../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../sheet/index.js';
import { convertedFor } from './converted.js';
import { exchangeRate } from './exchange-rate.js';
import { purchasingGap } from './gaps.js';
import { costWithTax } from './input-tax.js';

/** A supplier price brought to one base unit. */
export interface ListedPrice {
  readonly perBaseUnit: Figure;
  /** What is in a pack, in base units; null where no way leads there. */
  readonly pack: Figure | null;
  /** What the fewest packs that the supplier sends cost; null where nothing is said of that. */
  readonly smallestOrder: Figure | null;
}

/**
 * What one base unit of a material costs at one supplier price: pack price (of the break that the packs usually ordered reach), with tax that is not recovered, x exchange rate of the day of the evaluation / (pack
 * quantity in base units), in the book's currency per base unit, unrounded. Gaps: no price, no exchange rate, a pack unit that does not reach the base unit.
 */
export const listedPrice: Calculation<ListedPrice> = {
  name: 'listedPrice',
  meanings: {
    perBaseUnit: 'What one base unit of the material costs at this supplier price.',
    pack: 'How much is in one pack.',
    smallestOrder: 'What the smallest order costs.',
  },
  work(sheet, priceId) {
    const price = sheet.row('supplierPrice', priceId);
    return listedPriceAt(sheet, price, price === undefined ? null : usualBreak(sheet, price));
  },
};

/** The break that is reached by the packs that are usually ordered at a price; null where they reach none. */
function usualBreak(sheet: Sheet, price: RowOf<'supplierPrice'>): string | null {
  if (price.orderedPacks === null) return null;
  const ordered = decimal(price.orderedPacks);
  const reached = sheet
    .rowsOf('priceBreak', 'priceId', price.id)
    .filter(({ fromPacks, price: asked }) => asked !== null && decimal(fromPacks).lte(ordered));
  const [highest] = reached.sort((one, other) => decimal(other.fromPacks).cmp(decimal(one.fromPacks)));
  return highest?.id ?? null;
}

/** A supplier price brought to one base unit, at one of its breaks where one is named. */
export function listedPriceAt(
  sheet: Sheet,
  price: RowOf<'supplierPrice'> | undefined,
  breakId: string | null,
): ListedPrice {
  const material = price && sheet.row('material', price.materialId);
  const subject = material?.name ?? 'this material';
  const leaf = { name: 'Price per base unit', subject, unit: money(sheet).per(unit(material?.baseUnit ?? 'each')) };
  const none = (reason: Gap) => ({ perBaseUnit: missing(leaf, reason), pack: null, smallestOrder: null });
  if (price === undefined || material === undefined) return none(figureGap('row-missing', null, { subject }));
  const paid = packPrice(sheet, price, breakId, subject);
  const pack = packInBaseUnits(sheet, price, material);
  if (pack === null) {
    const values = { subject, from: unitWord(price.packUnit), to: unitWord(material.baseUnit) };
    return none(
      purchasingGap('no-pack-conversion', { kind: 'material', id: material.id, field: 'conversions' }, values),
    );
  }
  return {
    perBaseUnit: quotient({ name: leaf.name, subject }, paid, pack),
    pack,
    smallestOrder: smallestOrder(sheet, price, subject, paid),
  };
}

/** The pack price in the book's currency, with the tax on it that is not recovered. */
function packPrice(sheet: Sheet, price: RowOf<'supplierPrice'>, breakId: string | null, subject: string): Figure {
  const lower = breakId === null ? undefined : sheet.row('priceBreak', breakId);
  const called = { name: 'Pack price', subject, unit: unit(price.currency) };
  const asked =
    lower === undefined ? plainPrice(sheet, price, subject) : sheet.input('priceBreak', lower, 'price', called);
  const paid = costWithTax(sheet, 'supplierPrice', price, asked);
  if (price.currency === bookCurrency(sheet)) return paid;
  const { rate } = sheet.read(exchangeRate, `${price.currency}@${sheet.asOf}`);
  return multiplied({ name: `Pack price in ${bookCurrency(sheet)}`, subject }, paid, rate);
}

function plainPrice(sheet: Sheet, price: RowOf<'supplierPrice'>, subject: string): Figure {
  return sheet.input('supplierPrice', price, 'price', {
    name: 'Pack price',
    subject,
    unit: unit(price.currency),
    whenEmpty: (place) => purchasingGap('no-price', place, { subject }),
  });
}

function smallestOrder(sheet: Sheet, price: RowOf<'supplierPrice'>, subject: string, paid: Figure): Figure | null {
  if (price.minimumOrder === null) return null;
  const packs = sheet.input('supplierPrice', price, 'minimumOrder', {
    name: 'Smallest order, packs',
    subject,
    unit: NUMBER,
  });
  return multiplied({ name: 'Smallest order', subject }, packs, paid);
}

function packInBaseUnits(sheet: Sheet, price: RowOf<'supplierPrice'>, material: RowOf<'material'>): Figure | null {
  const packed = sheet.input('supplierPrice', price, 'packQuantity', {
    name: 'Pack quantity',
    subject: material.name,
    unit: unit(price.packUnit),
  });
  return convertedFor(
    sheet,
    { kind: 'material', id: material.id, name: material.name },
    packed,
    price.packUnit,
    material.baseUnit,
  );
}
