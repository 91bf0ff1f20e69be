import { nameKey, unitsThatFit, type StoredRow } from '@nuvar/book';
import { unitsWithin } from '@nuvar/core';
import { model } from '../book/model.js';

/** What a line may point to, with the unit in which it is costed. */
export interface Item {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  readonly field: 'materialId' | 'componentId';
  readonly archived: boolean;
  /** Other words by which it is found: code, category, suppliers. */
  readonly words: string;
  /** All units in which it can be stated, its own first. */
  readonly units: readonly string[];
}

/** What a line of a product may point to, by its id: all materials, and the other products. */
export function itemsOf(
  productId: string,
  materials: readonly StoredRow<'material'>[],
  products: readonly StoredRow<'product'>[],
): ReadonlyMap<string, Item> {
  const names = new Set(materials.map((row) => nameKey(row.name)));
  const components = products
    .filter((row) => row.id !== productId)
    .map(({ id, name, outputUnit, archived }): Item => ({
      id,
      label: names.has(nameKey(name)) ? `${name} (product)` : name,
      unit: outputUnit,
      field: 'componentId',
      archived,
      words: '',
      units: reachable('productId', id, outputUnit),
    }));
  const bought = materials.map(({ id, name, baseUnit, code, category, archived }): Item => ({
    id,
    label: name,
    unit: baseUnit,
    field: 'materialId',
    archived,
    words: [code, category, ...suppliersOf(id)].join(' '),
    units: reachable('materialId', id, baseUnit),
  }));
  return new Map([...bought, ...components].map((item) => [item.id, item]));
}

const suppliersOf = (materialId: string) =>
  model.rows
    .rowsWith('supplierPrice', 'materialId', materialId)
    .map(({ supplierId }) => model.rows.row('supplier', supplierId ?? '')?.name ?? '');

/** The units that an item can be stated in, by standard factors and its own conversions; the one it is costed in first. */
function reachable(owner: 'materialId' | 'productId', id: string, unit: string): readonly string[] {
  const own = model.rows.rowsWith('itemConversion', owner, id);
  return own.length === 0 ? unitsNear(unit) : [unit, ...unitsWithin(unit, own)];
}

const NEAR = new Map<string, readonly string[]>();

/** The units that fit one by standard factors alone; the same list for all who ask. */
export function unitsNear(unit: string): readonly string[] {
  const known = NEAR.get(unit);
  if (known !== undefined) return known;
  const made = [unit, ...unitsThatFit(unit).map(({ code }) => code)];
  NEAR.set(unit, made);
  return made;
}
