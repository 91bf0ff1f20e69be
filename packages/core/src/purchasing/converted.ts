import type { RowOf } from '@nuvar/book';
import { constant, type Figure, multiplied, quotient } from '../figure/index.js';
import { type Conversion, conversion, ownWay, unit, unitWord, type WayStep } from '../quantity/index.js';
import { numberIn, type Sheet } from '../sheet/index.js';
import { purchasingGap } from './gaps.js';

/** A material or a product, as far as its own conversions are concerned. */
export interface ConvertedItem {
  readonly kind: 'material' | 'product';
  readonly id: string;
  readonly name: string;
}

/** The conversions of an item's own, in the order in which they were stated. */
export function ownConversions(
  sheet: Sheet,
  { kind, id }: Pick<ConvertedItem, 'kind' | 'id'>,
): readonly RowOf<'itemConversion'>[] {
  return sheet.rowsOf('itemConversion', kind === 'material' ? 'materialId' : 'productId', id);
}

/**
 * A quantity of an item in another unit: by standard factors where they lead there, else through the item's own
 * conversions, quantity x so many / so many for each. The rest of its unit (per batch, per piece) stays. Null where no
 * way leads from the one unit to the other. Gap: an own conversion that does not say how many yet.
 */
export function convertedFor(
  sheet: Sheet,
  item: ConvertedItem,
  quantity: Figure,
  from: string,
  to: string,
): Figure | null {
  const direct = converted(quantity, from, to);
  if (direct !== null) return direct;
  const way = ownWay(from, to, ownConversions(sheet, item));
  if (way === null) return null;
  let [figure, at]: [Figure, string] = [quantity, from];
  for (const step of way) {
    const [enters, leaves] = step.isForward
      ? [step.conversion.unit, step.conversion.equalUnit]
      : [step.conversion.equalUnit, step.conversion.unit];
    figure = throughStep(sheet, item, converted(figure, at, enters) as Figure, step, leaves);
    at = leaves;
  }
  return converted(figure, at, to);
}

function throughStep(
  sheet: Sheet,
  item: ConvertedItem,
  quantity: Figure,
  { conversion: row, isForward }: WayStep<RowOf<'itemConversion'>>,
  leaves: string,
): Figure {
  const said = {
    subject: item.name,
    quantity: numberIn(sheet, row.quantity),
    unit: unitWord(row.unit),
    equalUnit: unitWord(row.equalUnit),
  };
  const [many, equal] = [
    sheet.input('itemConversion', row, 'quantity', {
      name: `${row.unit} stated`,
      subject: item.name,
      unit: unit(row.unit),
    }),
    sheet.input('itemConversion', row, 'equalQuantity', {
      name: `${row.equalUnit} that they are`,
      subject: item.name,
      unit: unit(row.equalUnit),
      whenEmpty: (place) => purchasingGap('no-conversion-amount', place, said),
    }),
  ];
  const called = { name: `${quantity.name} in ${leaves}`, subject: quantity.subject };
  return isForward
    ? quotient(called, multiplied(called, quantity, equal), many)
    : quotient(called, multiplied(called, quantity, many), equal);
}

/**
 * A quantity in another unit of the same dimension, with the factor as a constant in its working. The rest of its unit
 * (per batch, per piece) stays. Null where no way leads from the one to the other.
 */
export function converted(quantity: Figure, from: string, to: string): Figure | null {
  if (from === to) return quantity;
  const way = conversion(from, to);
  if (way === null) return null;
  const called = { name: `${quantity.name} in ${to}`, subject: quantity.subject };
  const factor = factorOf(from, to, way);
  return way.by === 'multiply' ? multiplied(called, quantity, factor) : quotient(called, quantity, factor);
}

const FACTORS = new Map<Conversion, Figure>();

/** The factor between two units as a figure; one for all who use it. */
export function factorOf(from: string, to: string, way: Conversion): Figure {
  const known = FACTORS.get(way);
  if (known !== undefined) return known;
  const [one, other] = way.by === 'multiply' ? [from, to] : [to, from];
  const made = constant(
    `${other} in one ${one}`,
    way.factor,
    unit(other).per(unit(one)),
    'Table of units (NIST SP 811)',
  );
  FACTORS.set(way, made);
  return made;
}
