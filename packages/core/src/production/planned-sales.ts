import { choice, constant, type Figure, gap, missing } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { MONTH, type Sheet } from '../sheet/index.js';

/** Planned units of a product per month as a figure, or the gap that asks for them. What is archived is not planned. */
export function plannedUnits(sheet: Sheet, productId: string): Figure {
  const row = sheet.row('product', productId);
  const subject = row?.name ?? 'this product';
  const leaf = { name: 'Planned units per month', subject, unit: unit(row?.outputUnit ?? 'each').per(MONTH) };
  const whenEmpty = () =>
    gap('no-planned-units', { kind: 'product', id: productId, field: 'plannedUnitsPerMonth' }, { subject });
  if (row?.archived)
    return choice(leaf, constant('Nothing', '0', leaf.unit, 'archived'), 'an archived product is not planned');
  return row === undefined
    ? missing(leaf, whenEmpty())
    : sheet.input('product', row, 'plannedUnitsPerMonth', { ...leaf, whenEmpty });
}
