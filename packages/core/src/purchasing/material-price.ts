import { compareDecimalText, type RowOf } from '@nuvar/book';
import { bookCurrency, money } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { gap, missing, quotient, type Figure, type Gap } from '../figure/index.js';
import { unit, unitWord } from '../quantity/index.js';
import { convertedFor } from './converted.js';

const NAME = 'Price per base unit';

/** What is bought, as those who use it need to know it. */
export interface PurchasedItem {
  readonly name: string;
  /** The unit to which quantities of it are brought. */
  readonly unit: string;
  readonly isPackaging: boolean;
}

/**
 * The planning price of a material: pack price / (pack quantity in base units), in the book's currency per base unit,
 * unrounded. The supplier price is the newest that is valid on or before the day (ties: the cheaper). Gaps: no price,
 * no exchange rate, a pack unit that does not reach the base unit. Method: latest listed price.
 */
export const materialPrice: Calculation<{ perBaseUnit: Figure; item: PurchasedItem | null }> = {
  name: 'materialPrice',
  meanings: { perBaseUnit: 'What one base unit of the material costs at the newest supplier price.' },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const subject = material?.name ?? 'this material';
    const perUnit = money(sheet).per(unit(material?.baseUnit ?? 'each'));
    const item =
      material === undefined
        ? null
        : { name: material.name, unit: material.baseUnit, isPackaging: material.kind === 'packaging' };
    const none = (reason: Gap) => ({ perBaseUnit: missing({ name: NAME, subject, unit: perUnit }, reason), item });
    if (material === undefined) return none(gap('row-missing', null, { subject }));
    const price = supplierPriceInForce(sheet, materialId);
    if (price === undefined)
      return none(gap('no-price', { kind: 'material', id: materialId, field: 'price' }, { subject }));
    const currency = bookCurrency(sheet);
    const place = { kind: 'supplierPrice', id: price.id, field: 'price' } as const;
    if (price.currency !== currency) {
      return none(
        gap(
          'no-exchange-rate',
          { ...place, field: 'currency' },
          { subject, currency: price.currency, bookCurrency: currency },
        ),
      );
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
      return none(gap('no-pack-conversion', { kind: 'material', id: materialId, field: 'conversions' }, values));
    }
    return { perBaseUnit: quotient({ name: NAME, subject }, paid, pack), item };
  },
};

/** The newest price of a material that is valid on the day of the evaluation; ties go to the cheaper. */
export function supplierPriceInForce(sheet: Sheet, materialId: string): RowOf<'supplierPrice'> | undefined {
  return sheet
    .rowsOf('supplierPrice', 'materialId', materialId)
    .filter((price) => price.validFrom <= sheet.asOf)
    .sort((one, other) =>
      one.validFrom === other.validFrom ? cheaperFirst(one, other) : one.validFrom < other.validFrom ? 1 : -1,
    )[0];
}

/** Of two prices, the cheaper; one that is not known yet comes last. */
function cheaperFirst(one: RowOf<'supplierPrice'>, other: RowOf<'supplierPrice'>): number {
  if (one.price === null || other.price === null) return Number(one.price === null) - Number(other.price === null);
  return compareDecimalText(one.price, other.price);
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
