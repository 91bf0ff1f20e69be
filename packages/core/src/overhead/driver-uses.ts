import { constant, type Figure, multiplied, ofMissingRow, quotient, sum } from '../figure/index.js';
import { batch, labourHours, productCost, type ProductCost, takings } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { salesValue } from '../price/index.js';
import { type CostDriver, type Driver, isCostDriver, SALES_VALUE, unitOfDriver } from './driver.js';
import { type DriverTaking, ownDriverTakings } from './driver-takings.js';

/** How much of each driver one good unit of a product takes, by driver. */
export interface DriverUses {
  /** With what is inside its components. */
  readonly perUnit: Readonly<Record<Driver, Figure>>;
  /** Of that, what goes along when the product goes into another one. */
  readonly alongPerUnit: Readonly<Record<Driver, Figure>>;
}

/** What a product takes of each driver, by itself and through its components. */
const driverTakings: Calculation<ReadonlyMap<Driver, readonly DriverTaking[]>> = {
  name: 'driverTakings',
  meanings: {},
  work: (sheet, productId) => grouped([...ownDriverTakings(sheet, productId), ...insideTakings(sheet, productId)]),
};

/**
 * How much of each driver a good unit of a product takes: what a batch takes / its good units, with quantity in the batch x
 * what a unit of each component takes. Batches count in fractions. Reads no price.
 */
export const driverUses: Calculation<DriverUses> = {
  name: 'driverUses',
  meanings: {},
  work(sheet, productId) {
    const perUnit: Record<Driver, Figure> = {};
    const alongPerUnit: Record<Driver, Figure> = {};
    for (const [driver, taken] of sheet.read(driverTakings, productId)) {
      const use = useOf(sheet, productId, driver, taken);
      perUnit[driver] = use;
      const along = taken.filter(({ goesAlong }) => goesAlong);
      if (along.length > 0)
        alongPerUnit[driver] = along.length === taken.length ? use : useOf(sheet, productId, driver, along);
    }
    return { perUnit, alongPerUnit };
  },
};

/** What a product takes of a driver in a month, however much of it is made; null where it takes none so. */
export function monthlyUse(sheet: Sheet, productId: string, driver: Driver): Figure | null {
  const taken = sheet.read(driverTakings, productId).get(driver) ?? [];
  const perMonth = taken.flatMap((taking) => taking.perMonth ?? []);
  const subject = sheet.row('product', productId)?.name ?? '';
  const called = { name: `${driverName(sheet, driver)} a month`, subject };
  return perMonth.length === 0 ? null : sum(called, unitOfDriver(sheet, driver).per(MONTH), perMonth);
}

/** What a product takes of a driver for each order, however large it is; null where it takes none so. */
export function orderUse(sheet: Sheet, productId: string, driver: Driver): Figure | null {
  const taken = sheet.read(driverTakings, productId).get(driver) ?? [];
  const perOrder = taken.flatMap((taking) => taking.perOrder ?? []);
  const [only] = perOrder;
  if (only === undefined || perOrder.length === 1) return only ?? null;
  const subject = sheet.row('product', productId)?.name ?? '';
  return sum({ name: `${driverName(sheet, driver)} an order`, subject }, only.unit, perOrder);
}

/** What a batch of any size takes of each driver, whatever is in it. */
export const driversOfAnyBatch: Calculation<Readonly<Record<Driver, Figure>>> = {
  name: 'driversOfAnyBatch',
  meanings: {},
  work(sheet, productId) {
    const ofAnyBatch: Record<Driver, Figure> = {};
    for (const [driver, taken] of sheet.read(driverTakings, productId)) {
      const fixed = taken.filter(({ isOfAnyBatch }) => isOfAnyBatch).map(({ quantity }) => quantity);
      if (fixed.length > 0)
        ofAnyBatch[driver] = sum(driverName(sheet, driver), unitOfDriver(sheet, driver).per(BATCH), fixed);
    }
    return ofAnyBatch;
  },
};

function insideTakings(sheet: Sheet, productId: string): DriverTaking[] {
  return sheet.read(takings, productId).flatMap((taking) => {
    const { of, quantity, basis } = taking;
    if (of?.kind !== 'product') return [];
    return Object.entries(sheet.read(driverUses, of.id).alongPerUnit).map(([driver, use]) => ({
      driver,
      of: 'batch' as const,
      isOfAnyBatch: basis === 'batch',
      goesAlong: true,
      quantity: multiplied({ name: 'Inside', subject: of.name }, quantity, use),
    }));
  });
}

function grouped(all: readonly DriverTaking[]): Map<Driver, DriverTaking[]> {
  const found = new Map<Driver, DriverTaking[]>();
  for (const taking of all) {
    const known = found.get(taking.driver);
    if (known === undefined) found.set(taking.driver, [taking]);
    else known.push(taking);
  }
  return found;
}

function useOf(sheet: Sheet, productId: string, driver: Driver, taken: readonly DriverTaking[]): Figure {
  const { good, productName: subject, outputUnit } = sheet.read(batch, productId);
  const counted = unitOfDriver(sheet, driver);
  const name = driverName(sheet, driver);
  const ofBatch = taken.filter(({ of }) => of === 'batch').map(({ quantity }) => quantity);
  const perUnit = taken.filter(({ of }) => of === 'unit').map(({ quantity }) => quantity);
  const perBatch = sum({ name: `${name} per batch`, subject }, counted.per(BATCH), ofBatch);
  const called = { name: `${name} per unit`, subject };
  const spread = ofBatch.length === 0 ? [] : [quotient(called, perBatch, good)];
  const [only] = spread;
  return only !== undefined && perUnit.length === 0
    ? only
    : sum(called, counted.per(unit(outputUnit)), [...spread, ...perUnit]);
}

/** How a driver of one row of the book is called, by what stands before its id. */
const NAMES: Readonly<Record<string, (sheet: Sheet, id: string) => string>> = {
  activity: (sheet, id) => sheet.row('activity', id)?.name ?? 'Activity',
  minutes: (sheet, id) => `Minutes of ${sheet.row('activity', id)?.name.toLowerCase() ?? 'an activity'}`,
  grade: (sheet, id) => `Hours of ${sheet.row('labourGrade', id)?.name ?? 'a labour grade'}`,
  machine: (sheet, id) => `Hours of ${sheet.row('equipment', id)?.name ?? 'a machine'}`,
};

/** What a driver is called: by what it counts, or by the row that it counts for. */
export function driverName(sheet: Sheet, driver: Driver): string {
  const [what = '', id] = driver.split('@');
  const words = what.charAt(0).toUpperCase() + what.slice(1);
  if (id === undefined) return words;
  const named = NAMES[what];
  if (named !== undefined) return named(sheet, id);
  return `${words} in ${id === '' ? 'no department' : (sheet.row('department', id)?.name ?? 'a department')}`;
}

/** Production cost is counted before fixed overhead: a basis cannot hold what is shared out by it. */
const COSTS: Readonly<Record<CostDriver, keyof ProductCost>> = {
  'labour cost': 'labour',
  'material cost': 'directMaterials',
  'prime cost': 'primeCost',
  'production cost': 'variableCost',
};

/** A product that has neither a price nor planned units goes into others, and is not sold. */
const isSold = (sheet: Sheet, productId: string): boolean =>
  sheet.idsOf('pricePoint', 'productId', productId).length > 0 ||
  sheet.idsOf('plannedVolume', 'productId', productId).length > 0;

/** How much of one driver a good unit of a product takes; null where it takes none. */
export function driverUse(sheet: Sheet, productId: string, driver: Driver): Figure | null {
  if (driver === 'labour hours') return sheet.read(labourHours, productId).perUnit;
  if (driver === SALES_VALUE) return isSold(sheet, productId) ? sheet.read(salesValue, productId).perUnit : null;
  if (isCostDriver(driver)) return sheet.read(productCost, productId)[COSTS[driver]];
  return sheet.read(driverUses, productId).perUnit[driver] ?? null;
}

/** The same for whoever wants to open it; the id is "product@driver". Zero where the product takes none. */
export const productDriverUse: Calculation<{ perUnit: Figure }> = {
  name: 'driverUse',
  meanings: {
    perUnit: 'How much of the driver one good unit of the product takes, with what is inside its components.',
  },
  work(sheet, id) {
    const at = id.indexOf('@');
    const [productId, driver] = [id.slice(0, at), id.slice(at + 1)];
    const product = sheet.row('product', productId);
    const counted = unitOfDriver(sheet, driver);
    if (product === undefined) return { perUnit: ofMissingRow({ name: 'Driver units', unit: counted }, 'a product') };
    const per = counted.per(unit(product.outputUnit));
    return { perUnit: driverUse(sheet, productId, driver) ?? constant('None', '0', per, 'the product takes none') };
  },
};
