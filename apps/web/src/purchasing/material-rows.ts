import { pricesByDay } from '@nuvar/core';
import { newId, unitOfMeasure, usualMass, withoutVersion, type Operation, type StoredRow } from '@nuvar/book';
import { shownDay } from '../state/store.js';
import { createOf, updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import { copyInBook, removalInBook, rowNamed } from '../controls/grid/rows-writer.js';
import type { GridWriter } from '../controls/grid/grid-model.js';

/** A material with its supplier price in force on the day that the book is shown for, and the name of the supplier. */
export interface MaterialRow {
  readonly id: string;
  readonly material: StoredRow<'material'>;
  readonly price: StoredRow<'supplierPrice'> | undefined;
  /** The next price, which begins on a later day. */
  readonly toCome: StoredRow<'supplierPrice'> | undefined;
  readonly supplier: string;
}

/** What can be typed into the row of a material. */
export interface MaterialPatch {
  readonly name?: string;
  readonly kind?: string;
  readonly baseUnit?: string;
  readonly supplier?: string;
  readonly packQuantity?: string;
  readonly packUnit?: string;
  readonly price?: string | null;
  readonly currency?: string;
  /** Fields of the material itself that the list does not show. */
  readonly about?: Partial<StoredRow<'material'>>;
}

/**
 * The supplier price of a material that is in force on a day, and the next one to come. `tied` says which it is where
 * the prices of several suppliers begin on one day; until the figures are there, the later entered.
 */
export function pricesShown(
  { id, preferredSupplierId }: StoredRow<'material'>,
  day: string,
  tied: Readonly<Record<string, string>>,
): Pick<MaterialRow, 'price' | 'toCome'> {
  const prices = model.rows.rowsWith('supplierPrice', 'materialId', id);
  const { inForce, toCome } = pricesByDay(prices, day, preferredSupplierId);
  const known = (priceId: string | undefined) => prices.find((price) => price.id === priceId);
  const price = inForce.find((each) => each.id === tied[id]) ?? inForce.at(-1);
  return { price: known(price?.id), toCome: known(toCome?.id) };
}

/** The supplier of that name, made where there is none yet. */
export const supplierOf = (name: string, before: readonly Operation[]) => rowNamed('supplier', name, before);

const dimensionOf = (unit: string) => unitOfMeasure(unit)?.dimension ?? unit;
const isSameDimension = (one: string, other: string) => dimensionOf(one) === dimensionOf(other);

function priceFields(
  { packQuantity, packUnit, price, currency }: MaterialPatch,
  supplierId: string | null | undefined,
): Record<string, unknown> {
  return {
    ...(supplierId === undefined ? {} : { supplierId }),
    ...(packQuantity === undefined ? {} : { packQuantity }),
    ...(packUnit === undefined ? {} : { packUnit }),
    ...(price === undefined ? {} : { price }),
    ...(currency === undefined ? {} : { currency }),
  };
}

function update(row: MaterialRow, patch: MaterialPatch, before: readonly Operation[]): Operation[] {
  const { material, price } = row;
  const { name = material.name, kind = material.kind, supplier } = patch;
  const found = supplier === undefined ? undefined : supplierOf(supplier, before);
  const baseUnit = patch.baseUnit ?? followedUnit(material, price, patch.packUnit);
  const fields = priceFields(patch, found?.id);
  const priceWrites = writePrice(row, baseUnit, fields);
  return [
    ...(found?.made ?? []),
    ...updateOf('material', material, { name, kind, baseUnit, ...patch.about }),
    ...priceWrites,
  ];
}

/**
 * Writes what was typed about the price. Another price than the one that was asked before begins on the day that the book
 * is shown for; the old one stays as it was from its day on, and so does one that is still to come.
 */
function writePrice(
  { material, price, toCome }: MaterialRow,
  unit: string,
  fields: Readonly<Record<string, unknown>>,
): Operation[] {
  if (Object.keys(fields).length === 0) return [];
  const day = shownDay();
  if (price === undefined) return [newPrice(material.id, unit, { ...packOf(toCome), ...fields })];
  const isAnother =
    fields.price != null && price.price !== null && fields.price !== price.price && price.validFrom < day;
  if (!isAnother)
    return updateOf(
      'supplierPrice',
      price,
      price.price === null && fields.price != null ? { ...fields, validFrom: day } : fields,
    );
  return [
    createOf('supplierPrice', newId(), {
      ...withoutVersion(price),
      validFrom: day,
      orderedPacks: null,
      ...fields,
    }),
  ];
}

/** A first price before one that is announced is usually for the same pack. */
const packOf = (price: StoredRow<'supplierPrice'> | undefined) =>
  price === undefined
    ? {}
    : {
        packQuantity: price.packQuantity,
        packUnit: price.packUnit,
        supplierId: price.supplierId,
        currency: price.currency,
      };

/** While nothing depends on it yet, the base unit follows a pack that is bought in another kind of unit. */
function followedUnit(
  material: StoredRow<'material'>,
  price: StoredRow<'supplierPrice'> | undefined,
  packUnit: string | undefined,
): string {
  if (packUnit === undefined || isSameDimension(packUnit, material.baseUnit) || price?.price != null)
    return material.baseUnit;
  const isUsed = model.rows.rowsWith('billLine', 'materialId', material.id).length > 0;
  return isUsed ? material.baseUnit : packUnit;
}

function newPrice(materialId: string, unit: string, fields: Readonly<Record<string, unknown>>): Operation {
  const { currency } = model.rows.all('settings')[0] ?? { currency: 'EUR' };
  return createOf('supplierPrice', newId(), { materialId, packUnit: unit, currency, validFrom: shownDay(), ...fields });
}

/** The unit by which things are weighed in the country of the book. */
export const massInBook = () => usualMass(model.rows.all('settings')[0]?.locale ?? '');

/** The unit of a material of which nothing was said: packaging and goods come by the piece, the rest by weight. */
const usualUnit = (kind: string | undefined) => (kind === 'packaging' || kind === 'resale' ? 'each' : massInBook());

/** Makes a material of a name alone or with its first price; used by the grid and by bill lines that name something new. */
export function newMaterial(
  id: string,
  patch: MaterialPatch & { readonly name: string },
  before: readonly Operation[] = [],
): Operation[] {
  const baseUnit = patch.baseUnit ?? patch.packUnit ?? usualUnit(patch.kind);
  const found = supplierOf(patch.supplier ?? '', before);
  const fields = { name: patch.name, baseUnit, ...(patch.kind === undefined ? {} : { kind: patch.kind }) };
  return [...found.made, createOf('material', id, fields), newPrice(id, baseUnit, priceFields(patch, found.id))];
}

/** True where some price of a material is known, so that its unit no longer follows from how it is used. */
export function isPriced(materialId: string): boolean {
  return model.rows.rowsWith('supplierPrice', 'materialId', materialId).some((row) => row.price !== null);
}

const COSTED_BY: ReadonlyMap<string, string> = new Map(
  Object.entries({
    mg: 'kg',
    g: 'kg',
    oz: 'lb',
    ml: 'l',
    cl: 'l',
    mm: 'm',
    cm: 'm',
    'cm²': 'm²',
  }),
);

/** The unit by which something is costed that is used in another: what is used by the gram is costed by the kilogram. */
export const costedBy = (unit: string) => COSTED_BY.get(unit) ?? unit;

/** The operations by which a material without a price comes to be measured as it is used; none where it fits already. */
export function measuredBy(materialId: string, unit: string): Operation[] {
  const material = model.rows.row('material', materialId);
  if (material === undefined || isSameDimension(unit, material.baseUnit) || isPriced(materialId)) return [];
  const baseUnit = costedBy(unit);
  const packs = model.rows.rowsWith('supplierPrice', 'materialId', materialId);
  return [
    ...updateOf('material', material, { baseUnit }),
    ...packs.flatMap((pack) => updateOf('supplierPrice', pack, { packUnit: baseUnit })),
  ];
}

/** Writes materials, each with the one price that is shown. */
export const materialWriter: GridWriter<MaterialRow, MaterialPatch> = {
  update,
  create: (id, patch, before) =>
    patch.name === undefined ? null : newMaterial(id, { ...patch, name: patch.name }, before),
  remove: ({ id }) => removalInBook('material', id),
  duplicate: ({ material }) => copyInBook('material', material),
};
