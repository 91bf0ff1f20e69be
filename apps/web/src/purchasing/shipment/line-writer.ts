import { newId, type Operation, type StoredRow } from '@nuvar/book';
import { createOf, madeWithin, nextPosition, updateOf } from '../../book/operations.js';
import { model } from '../../book/model.js';
import type { GridWriter } from '../../controls/grid/grid-model.js';
import { copyInBook, removalInBook } from '../../controls/grid/rows-writer.js';
import { newMaterial } from '../material-rows.js';
import { firstCharges } from './charges-by-rules.js';

type Line = StoredRow<'shipmentLine'>;
type Shipment = StoredRow<'shipment'>;

/** What is typed of a line: its fields, and the name of a material that the book does not have. */
export type LinePatch = Partial<Line> & { readonly newMaterial?: string };

/** Writes the lines of a shipment, each with its material where that is new. */
export function lineWriter(shipment: Shipment): GridWriter<Line, LinePatch> {
  const withMaterial = ({ newMaterial: name, ...fields }: LinePatch, before: readonly Operation[]) => {
    if (name === undefined) return { made: [], fields };
    const known = madeWithin(before, 'material', name);
    if (known !== undefined) return { made: [], fields: { ...fields, materialId: known } };
    const id = newId();
    const baseUnit = fields.unit ?? 'each';
    return { made: newMaterial(id, { name, baseUnit }), fields: { unit: baseUnit, ...fields, materialId: id } };
  };
  return {
    update: (row, patch, before) => {
      const { made, fields } = withMaterial(patch, before);
      return [...made, ...updateOf('shipmentLine', row, fields)];
    },
    create: (id, patch, before) => {
      const { made, fields } = withMaterial(patch, before);
      if (fields.materialId === undefined) return null;
      const position = nextPosition(
        'shipmentLine',
        model.rows.rowsWith('shipmentLine', 'shipmentId', shipment.id),
        before,
      );
      const usual = {
        shipmentId: shipment.id,
        position,
        unit: usualUnit(fields.materialId),
        ...asLastDeclared(fields.materialId),
      };
      const line = { origin: '', ...usual, ...fields, materialId: fields.materialId };
      const charges = firstCharges(shipment, [{ ...line, id }], before);
      return [...made, createOf('shipmentLine', id, { ...usual, ...fields }), ...charges];
    },
    remove: ({ id }) => removalInBook('shipmentLine', id),
    duplicate: (row) => copyInBook('shipmentLine', row),
  };
}

/** The unit in which a material is bought: that of its newest pack, else the one by which it is costed. */
function usualUnit(materialId: string): string {
  const packs = model.rows.rowsWith('supplierPrice', 'materialId', materialId);
  return packs.at(-1)?.packUnit ?? model.rows.row('material', materialId)?.baseUnit ?? 'each';
}

/** How goods of a material were declared last: they are so again unless it is said otherwise. */
function asLastDeclared(materialId: string): Partial<Line> {
  const lines = model.rows.rowsWith('shipmentLine', 'materialId', materialId);
  const [first] = lines;
  if (first === undefined) return {};
  // Ids are made in the order of time.
  const last = lines.reduce((latest, each) => (each.id > latest.id ? each : latest), first);
  const { dutyPercent, dutyForm, specificDuty, specificPer, antiDumpingPercent, hsCode, origin } = last;
  return { dutyPercent, dutyForm, specificDuty, specificPer, antiDumpingPercent, hsCode, origin };
}
