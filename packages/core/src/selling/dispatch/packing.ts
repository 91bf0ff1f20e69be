import { type RowOf, nameKey } from '@nuvar/book';
import { type Figure, missing, multiplied, quotient } from '../../figure/index.js';
import { labourRate } from '../../production/index.js';
import { converted, convertedFor, materialPrice } from '../../purchasing/index.js';
import { unit } from '../../quantity/index.js';
import { money, ORDER, type Sheet } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';

type Line = RowOf<'packingLine'>;

/** A product as far as the terms of its sale go by it. */
export type SoldProduct = Pick<RowOf<'product'>, 'id' | 'name' | 'category' | 'outputUnit'>;

/** A line counts for all products, or for those of its category. */
export const isOfCategory = (category: string, product: SoldProduct): boolean =>
  category.trim() === '' || nameKey(category.trim()) === nameKey(product.category.trim());

/** What a line of packing costs for one unit, and whether it is packed around a whole order. */
export interface PackedLine {
  readonly perUnit: Figure;
  readonly isOfOrder: boolean;
}

/**
 * What the packing of a channel costs for one unit of a product: quantity x planning price of the material, or hours x labour
 * rate of the grade; what is packed around an order is divided by the units of an order. A selling cost, no part of stock
 * value (IAS 2.16 d). Gaps: a line of nothing, without a quantity, or in a unit that does not convert.
 */
export function packingOf(
  sheet: Sheet,
  channel: RowOf<'channel'>,
  product: SoldProduct,
  unitsPerOrder: () => Figure,
): PackedLine[] {
  return sheet
    .rowsOf('packingLine', 'channelId', channel.id)
    .filter(({ category }) => isOfCategory(category, product))
    .map((line) => {
      const output = unit(product.outputUnit);
      const per = line.per === 'order' ? ORDER : output;
      const cost = costOf(sheet, line, channel, per);
      const called = { name: `${cost.name} per unit`, subject: cost.subject };
      const perUnit = line.per === 'order' ? quotient(called, cost, unitsPerOrder()) : cost;
      return { perUnit, isOfOrder: line.per === 'order' };
    });
}

function costOf(sheet: Sheet, line: Line, { name: subject }: RowOf<'channel'>, per: ReturnType<typeof unit>): Figure {
  const perEach = money(sheet).per(per);
  const material = line.materialId === null ? undefined : sheet.row('material', line.materialId);
  const grade = line.gradeId === null ? undefined : sheet.row('labourGrade', line.gradeId);
  const name = material?.name ?? grade?.name;
  if (name === undefined) {
    const place = { kind: 'packingLine', id: line.id, field: 'materialId' } as const;
    return missing({ name: 'Packing', subject, unit: perEach }, sellingGap('nothing-packed', place, { subject }));
  }
  const called = { name: `Packing: ${name}`, subject };
  const quantity = sheet.input('packingLine', line, 'quantity', {
    name: 'Quantity',
    subject: name,
    unit: unit(line.unit).per(per),
    whenEmpty: (place) => sellingGap('no-packing-quantity', place, { name, subject }),
  });
  const inBase =
    material === undefined
      ? converted(quantity, line.unit, 'h')
      : convertedFor(
          sheet,
          { kind: 'material', id: material.id, name: material.name },
          quantity,
          line.unit,
          material.baseUnit,
        );
  if (inBase === null) {
    const place = { kind: 'packingLine', id: line.id, field: 'unit' } as const;
    return missing({ ...called, unit: perEach }, sellingGap('packing-unit', place, { name, unit: line.unit }), [
      quantity,
    ]);
  }
  const price =
    material === undefined
      ? sheet.read(labourRate, grade?.id ?? '').perHour
      : sheet.read(materialPrice, material.id).perBaseUnit;
  return multiplied(called, inBase, price);
}
