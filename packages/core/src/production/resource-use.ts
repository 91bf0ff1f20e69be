import { type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { type Unit, unit } from '../quantity/index.js';
import { BATCH, type Calculation, HOUR, type Sheet, SPACE } from '../sheet/index.js';
import { batch } from './batch.js';
import { labourSetUps } from './labour-steps.js';
import { loadCost } from './shared-load.js';
import type { ItemOf, Taking } from './taking.js';
import { takings } from './takings.js';

/** What a unit of a product takes of something that can run short. */
export interface ResourceUse {
  readonly perUnit: Figure;
  /** Of which the set-up of one batch of the product itself, in `perUnit` already; null where it takes none. */
  readonly ofSetUp: Figure | null;
}

/**
 * What one good unit of a product takes of a labour grade (hours), of all work but the owner's own ("paid", hours), of a
 * machine (hours, with those of the places in its shared loads), of a shared load (places), of a material (its base unit) or of
 * a component (units). The id is "product@labourGrade.id", "product@paid", "product@equipment.id" and so on. What is inside
 * components is counted where the component takes it; not so of components that are named in a third part of the id, divided by
 * commas: these are taken as they are.
 */
export const resourceUse: Calculation<ResourceUse> = {
  name: 'resourceUse',
  meanings: {
    perUnit: 'What one unit takes of what can run short, with what its components take.',
    ofSetUp: 'What the set-up of one batch takes of it.',
  },
  work(sheet, id) {
    const [productId = '', resource = '', apart = ''] = id.split('@');
    const subject = sheet.row('product', productId)?.name ?? '';
    const { good } = sheet.read(batch, productId);
    const counted = unitOfResource(sheet, resource).per(BATCH);
    const taken = (of: readonly Taking[]) => of.flatMap((taking) => takenOf(sheet, taking, resource, apart) ?? []);
    const perBatch = sum({ name: 'Taken by a batch', subject }, counted, taken(sheet.read(takings, productId)));
    const setUps = taken(labourSetUps.takings(sheet, productId, sheet.read(batch, productId), () => perBatch));
    return {
      perUnit: quotient({ name: 'Taken by a unit', subject }, perBatch, good),
      ofSetUp: setUps.length === 0 ? null : sum({ name: 'Taken by a set-up', subject }, counted, setUps),
    };
  },
};

/** In which unit a resource is counted: hours, places, the base unit of a material, the output unit of a component. */
export function unitOfResource(sheet: Sheet, resource: string): Unit {
  const [kind, id = ''] = resource.split('.');
  if (kind === 'material') return unit(sheet.row('material', id)?.baseUnit ?? 'each');
  if (kind === 'product') return unit(sheet.row('product', id)?.outputUnit ?? 'each');
  return kind === 'equipmentRun' ? SPACE : HOUR;
}

/** What a batch takes of a resource by one of its takings; null where it takes none. */
function takenOf(sheet: Sheet, taking: Taking, resource: string, apart: string): Figure | null {
  const { of: item, quantity, hours } = taking;
  const [kind, rowId = ''] = resource.split('.');
  if (item === null) return null;
  if (item.kind === kind && item.id === rowId) return item.kind === 'labourGrade' ? hours : quantity;
  if (item.kind === 'product') return takenInside(sheet, item, quantity, resource, apart);
  if (item.kind === 'labourGrade') return kind === 'paid' && !isOwners(sheet, item.id) ? hours : null;
  return item.kind === 'equipmentRun' && kind === 'equipment' ? machineHours(sheet, item, quantity, rowId) : null;
}

function takenInside(
  sheet: Sheet,
  { id, name }: ItemOf,
  quantity: Figure,
  resource: string,
  apart: string,
): Figure | null {
  if (apart.split(',').includes(id)) return null;
  const inside = sheet.read(resourceUse, apart === '' ? `${id}@${resource}` : `${id}@${resource}@${apart}`).perUnit;
  return inside.amount?.isZero() === true
    ? null
    : multiplied({ name: 'Taken inside', subject: name }, quantity, inside);
}

/** The hours of a machine in the places of a load of it. */
function machineHours(sheet: Sheet, { id, name }: ItemOf, quantity: Figure, machineId: string): Figure | null {
  if (sheet.row('equipmentRun', id)?.equipmentId !== machineId) return null;
  return multiplied({ name: 'Hours of its places', subject: name }, quantity, sheet.read(loadCost, id).hoursPerPlace);
}

const isOwners = (sheet: Sheet, gradeId: string) => sheet.row('labourGrade', gradeId)?.ownersTime === true;
