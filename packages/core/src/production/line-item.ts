import type { RowOf } from '@nuvar/book';
import type { ConvertedItem } from '../purchasing/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';

/** What a bill line is of, as far as its quantity is concerned: a material, or a product as a component. */
export interface LineItem extends ConvertedItem {
  /** The unit to which quantities of it are brought. */
  readonly unit: string;
  readonly isPackaging: boolean;
}

/** A material as an item; one for all lines of it. Its price does not belong to it, and does not touch it. */
const materialItem: Calculation<LineItem | null> = {
  name: 'materialItem',
  meanings: {},
  work(sheet, id) {
    const row = sheet.row('material', id);
    if (row === undefined) return null;
    return { kind: 'material', id, name: row.name, unit: row.baseUnit, isPackaging: row.kind === 'packaging' };
  },
};

/** A product as an item; one for all lines of it. */
const componentItem: Calculation<LineItem | null> = {
  name: 'componentItem',
  meanings: {},
  work(sheet, id) {
    const row = sheet.row('product', id);
    return row === undefined ? null : { kind: 'product', id, name: row.name, unit: row.outputUnit, isPackaging: false };
  },
};

/** The item of a line; null where it is not linked to one, or to one that is gone. */
export function itemOf(sheet: Sheet, { materialId, componentId }: RowOf<'billLine'>): LineItem | null {
  if (materialId !== null) return sheet.read(materialItem, materialId);
  return componentId === null ? null : sheet.read(componentItem, componentId);
}
