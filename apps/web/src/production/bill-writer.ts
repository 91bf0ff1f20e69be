import { compareDecimalText, inOrder, newId, type Operation, type StoredRow } from '@nuvar/book';
import { createOf, madeWithin, nextPosition, updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import type { GridWriter } from '../controls/grid/grid-model.js';
import { copyInBook, removalInBook } from '../controls/grid/rows-writer.js';
import { costedBy, massInBook, measuredBy, newMaterial } from '../purchasing/material-rows.js';
import type { Item } from './line-items.js';

export type Line = StoredRow<'billLine'>;

/** What can be typed into a line: its fields, or the name of something that is not in the book yet. */
export type LinePatch = Partial<Line> & { readonly newItem?: string };

const SMALL_UNITS: ReadonlyMap<string, string> = new Map([
  ['kg', 'g'],
  ['lb', 'oz'],
  ['l', 'ml'],
]);

/** What a line says that is linked to an item. */
export const pointingTo = ({ id, field, unit }: Item): LinePatch => ({
  materialId: field === 'materialId' ? id : null,
  componentId: field === 'componentId' ? id : null,
  text: '',
  unit: SMALL_UNITS.get(unit) ?? unit,
});

/** The other lines of the book that say the same text: they are linked with the one that is. */
function alsoLinked(line: Line, materialId: string | null | undefined): Operation[] {
  if (line.text === '' || materialId == null) return [];
  return model.rows
    .rowsWith('billLine', 'text', line.text)
    .filter(({ id }) => id !== line.id)
    .flatMap((other) => updateOf('billLine', other, { materialId, text: '' }));
}

/** The basis that was chosen last in a product, by the id of the product. */
const lastChosen = new Map<string, Line['basis']>();

/**
 * What a new line is stated for: the same as was chosen last in that product, else the same as its last line. Without
 * either, a batch where more than one is made in it, and a unit where it is a piece.
 */
function usualBasis(productId: string, lines: readonly Line[]): Line['basis'] {
  const [last] = inOrder(lines).slice(-1);
  const isBatch = compareDecimalText(model.rows.row('product', productId)?.batchSize ?? '1', '1') > 0;
  return lastChosen.get(productId) ?? last?.basis ?? (isBatch ? 'batch' : 'started unit');
}

/** Writes the lines of a bill. A name that is not in the book yet becomes a material, in the same change. */
export function billWriter(productId: string, items: ReadonlyMap<string, Item>): GridWriter<Line, LinePatch> {
  const withItem = (
    { newItem, ...patch }: LinePatch,
    before: readonly Operation[],
  ): { made: Operation[]; fields: Partial<Line> } => {
    if (newItem === undefined) return { made: [], fields: patch };
    const made = madeWithin(before, 'material', newItem);
    if (made !== undefined) return { made: [], fields: { ...patch, materialId: made, componentId: null, text: '' } };
    const id = newId();
    const baseUnit = costedBy(patch.unit ?? massInBook());
    return {
      made: newMaterial(id, { name: newItem, baseUnit }),
      fields: { unit: SMALL_UNITS.get(baseUnit) ?? baseUnit, ...patch, materialId: id, componentId: null, text: '' },
    };
  };
  return {
    update: (line, patch, before) => {
      const { made, fields } = withItem(patch, before);
      if (fields.basis !== undefined) lastChosen.set(productId, fields.basis);
      const fits = fields.unit === undefined || (items.get(line.materialId ?? '')?.units.includes(fields.unit) ?? true);
      const measured =
        fits || line.materialId === null || fields.unit === undefined ? [] : measuredBy(line.materialId, fields.unit);
      const item = items.get(fields.materialId ?? fields.componentId ?? '');
      // Another item may be measured otherwise: a unit that still fits stays.
      const keeps = item !== undefined && item.units.includes(line.unit);
      return [
        ...made,
        ...measured,
        ...updateOf('billLine', line, keeps ? { ...fields, unit: line.unit } : fields),
        ...alsoLinked(line, fields.materialId),
      ];
    },
    create: (id, patch, before) => {
      const { made, fields } = withItem(patch, before);
      if (!fields.materialId && !fields.componentId && !fields.text) return null;
      const lines = model.rows.rowsWith('billLine', 'productId', productId);
      const row = {
        productId,
        position: nextPosition('billLine', lines, before),
        unit: 'each',
        basis: usualBasis(productId, lines),
        ...fields,
      };
      return [...made, createOf('billLine', id, row)];
    },
    remove: ({ id }) => removalInBook('billLine', id),
    duplicate: (row) => copyInBook('billLine', row),
  };
}
