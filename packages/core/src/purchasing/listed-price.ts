import { compareDecimalText, type RowOf } from '@nuvar/book';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { bookCurrency, money } from '../evaluate/units.js';
import { gap, missing, quotient, type Figure, type Gap } from '../figure/index.js';
import { unit, unitWord } from '../quantity/index.js';
import { convertedFor } from './converted.js';

/**
 * What one base unit of a material costs at one supplier price: pack price / (pack quantity in base units), in the book's
 * currency per base unit, unrounded. Gaps: no price, no exchange rate, a pack unit that does not reach the base unit.
 */
export const listedPrice: Calculation<{ perBaseUnit: Figure }> = {
  name: 'listedPrice',
  meanings: { perBaseUnit: 'What one base unit of the material costs at this supplier price.' },
  work(sheet, priceId) {
    const price = sheet.row('supplierPrice', priceId);
    const material = price && sheet.row('material', price.materialId);
    const subject = material?.name ?? 'this material';
    const leaf = { name: 'Price per base unit', subject, unit: money(sheet).per(unit(material?.baseUnit ?? 'each')) };
    const none = (reason: Gap) => ({ perBaseUnit: missing(leaf, reason) });
    if (price === undefined || material === undefined) return none(gap('row-missing', null, { subject }));
    const currency = bookCurrency(sheet);
    const place = { kind: 'supplierPrice', id: price.id, field: 'price' } as const;
    if (price.currency !== currency) {
      const values = { subject, currency: price.currency, bookCurrency: currency };
      return none(gap('no-exchange-rate', { ...place, field: 'currency' }, values));
    }
    const paid = sheet.input('supplierPrice', price, 'price', {
      name: 'Pack price',
      subject,
      unit: money(sheet),
      whenEmpty: () => gap('no-price', place, { subject }),
    });
    const pack = packInBaseUnits(sheet, price, material);
    if (pack === null) {
      const values = { subject, from: unitWord(price.packUnit), to: unitWord(material.baseUnit) };
      return none(gap('no-pack-conversion', { kind: 'material', id: material.id, field: 'conversions' }, values));
    }
    return { perBaseUnit: quotient({ name: leaf.name, subject }, paid, pack) };
  },
};

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

/** The prices of a material that are valid on or before the day of the evaluation, newest first; ties: the cheaper. */
export function validPrices(sheet: Sheet, materialId: string): RowOf<'supplierPrice'>[] {
  return sheet
    .rowsOf('supplierPrice', 'materialId', materialId)
    .filter((price) => price.validFrom <= sheet.asOf)
    .sort((one, other) =>
      one.validFrom === other.validFrom ? cheaperFirst(one, other) : one.validFrom < other.validFrom ? 1 : -1,
    );
}

/** Of two prices, the cheaper; one that is not known yet comes last. */
function cheaperFirst(one: RowOf<'supplierPrice'>, other: RowOf<'supplierPrice'>): number {
  if (one.price === null || other.price === null) return Number(one.price === null) - Number(other.price === null);
  return compareDecimalText(one.price, other.price);
}
