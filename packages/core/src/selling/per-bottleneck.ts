import { type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { batch, loadCost, type Taking, takings } from '../production/index.js';
import { BATCH, type Calculation, HOUR, type Sheet } from '../sheet/index.js';
import { pricePoint } from './price-point.js';

/** What a sale leaves for each hour of what runs short. */
export interface PerBottleneck {
  readonly hours: Figure;
  readonly contribution: Figure;
}

/**
 * Contribution for each hour of a bottleneck: a machine (with the hours in shared loads that the places take up), a labour
 * grade, or all work without the owner's own time. The id is "point@equipment.id", "point@labourGrade.id" or "point@paid". The
 * hours inside components are counted where the component takes them.
 */
export const perBottleneck: Calculation<PerBottleneck> = {
  name: 'perBottleneck',
  meanings: {
    hours: 'Hours of the bottleneck in one unit.',
    contribution: 'What each hour of the bottleneck earns (contribution).',
  },
  work(sheet, id) {
    const [pointId = '', of = ''] = id.split('@');
    const { contribution } = sheet.read(pricePoint, pointId);
    const productId = sheet.row('pricePoint', pointId)?.productId ?? '';
    const { subject } = contribution;
    const hours = sheet.read(bottleneckHours, `${productId}@${of}`).perUnit;
    return {
      hours,
      contribution: quotient({ name: 'Contribution per bottleneck hour', subject }, contribution, hours),
    };
  },
};

/** Hours of a bottleneck in one unit of a product, those inside its components included; the id is "product@bottleneck". */
export const bottleneckHours: Calculation<{ perUnit: Figure }> = {
  name: 'bottleneckHours',
  meanings: { perUnit: 'Hours of the bottleneck in one unit, with those in its components.' },
  work(sheet, id) {
    const [productId = '', of = ''] = id.split('@');
    const product = sheet.row('product', productId);
    const subject = product?.name ?? '';
    const { good } = sheet.read(batch, productId);
    const parts = sheet.read(takings, productId).flatMap((taking) => hoursOf(sheet, taking, of) ?? []);
    const perBatch = sum({ name: 'Hours of a batch', subject }, HOUR.per(BATCH), parts);
    return { perUnit: quotient({ name: 'Hours per unit', subject }, perBatch, good) };
  },
};

/** The hours of a bottleneck in what a batch takes; null where it takes none. */
function hoursOf(sheet: Sheet, { of: item, quantity, hours }: Taking, bottleneck: string): Figure | null {
  const [kind, rowId = ''] = bottleneck.split('.');
  if (item?.kind === 'product') return hoursInside(sheet, item, quantity, bottleneck);
  if (item?.kind === 'labourGrade') return isCounted(sheet, item.id, kind, rowId) ? hours : null;
  return item === null || kind !== 'equipment' ? null : machineHours(sheet, item, quantity, rowId);
}

type Item = NonNullable<Taking['of']>;

function hoursInside(sheet: Sheet, { id, name }: Item, quantity: Figure, bottleneck: string): Figure | null {
  const inside = sheet.read(bottleneckHours, `${id}@${bottleneck}`).perUnit;
  return inside.amount?.isZero() === true
    ? null
    : multiplied({ name: 'Hours inside', subject: name }, quantity, inside);
}

/** The hours of a machine by itself, or of the places in a load of it. */
function machineHours(sheet: Sheet, { kind, id, name }: Item, quantity: Figure, machineId: string): Figure | null {
  if (kind === 'equipment') return id === machineId ? quantity : null;
  if (sheet.row('equipmentRun', id)?.equipmentId !== machineId) return null;
  const called = { name: 'Hours of its places', subject: name };
  return multiplied(called, quantity, sheet.read(loadCost, id).hoursPerPlace);
}

/** True for the grade that is the bottleneck, or for any but the owner's own time. */
function isCounted(sheet: Sheet, gradeId: string, kind: string | undefined, rowId: string): boolean {
  if (kind === 'labourGrade') return gradeId === rowId;
  return kind === 'paid' && sheet.row('labourGrade', gradeId)?.ownersTime !== true;
}
