import { type Figure, multiplied, sum } from '../figure/index.js';
import type { PoolUse, RowOf } from '@nuvar/book';
import { isInPlan, plannedOutput, plannedUnits } from '../production/index.js';
import type { Unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { type Driver, unitOfDriver } from './driver.js';
import { driverName, driverUse, monthlyUse } from './driver-uses.js';

/** What is used of a driver in a month for a product of which nothing is made or sold: no unit bears it. */
export interface UseWithoutOutput {
  readonly productId: string;
  readonly quantity: Figure;
}

/** How much of a driver the plan needs. */
export interface DriverVolume {
  readonly planned: Figure;
  /** Of that, what planned units bear. */
  readonly borne: Figure;
  readonly withoutOutput: readonly UseWithoutOutput[];
  /** What the driver is counted in. */
  readonly perUnit: Unit;
}

/**
 * What all products need of a driver in a month; the id is the driver. What is made is the basis, wherever it is known apart from
 * what is sold; orders come with what is sold, and so does everything under the id "driver|sold", which overhead that never
 * enters stock value is shared over. A monthly use counts in full where nothing is made: no unit bears it. What is archived
 * needs none.
 */
export const driverVolume: Calculation<DriverVolume> = {
  name: 'driverVolume',
  meanings: {
    planned: 'How much of the driver the planned units of all products need in a month.',
    borne: 'How much of the driver the planned units of all products bear in a month.',
  },
  work(sheet, id) {
    const [driver = '', basis] = id.split('|');
    const isOfSold = basis === 'sold' || driver === 'orders';
    const perUnit = unitOfDriver(sheet, driver);
    const name = driverName(sheet, driver);
    const active = sheet.all('product').filter(isInPlan);
    const withoutOutput = active.flatMap((product) => usedWithoutOutput(sheet, product, driver));
    const isIdle = new Set(withoutOutput.map(({ productId }) => productId));
    const needs = active
      .filter((product) => !isIdle.has(product.id))
      .flatMap((product) => neededFor(sheet, product, driver, isOfSold));
    const borne = sum(`${name} that the plan needs`, perUnit.per(MONTH), needs);
    const idle = withoutOutput.map(({ quantity }) => quantity);
    const planned = idle.length === 0 ? borne : sum(`${name} in all`, perUnit.per(MONTH), [borne, ...idle]);
    return { planned, borne, withoutOutput, perUnit };
  },
};

function usedWithoutOutput(sheet: Sheet, { id }: RowOf<'product'>, driver: Driver): UseWithoutOutput[] {
  const quantity = monthlyUse(sheet, id, driver);
  if (quantity === null || !sheet.read(plannedOutput, id).units.amount?.isZero()) return [];
  return [{ productId: id, quantity }];
}

function neededFor(sheet: Sheet, product: RowOf<'product'>, driver: Driver, isOfSold: boolean): Figure[] {
  const isPlanned = sheet.idsOf('plannedVolume', 'productId', product.id).length > 0;
  const isMade = !isOfSold && product.madePerMonth !== null;
  if (!isPlanned && !isMade) return [];
  const use = driverUse(sheet, product.id, driver);
  if (use === null) return [];
  const name = driverName(sheet, driver);
  const called = { name: `Planned ${name.charAt(0).toLowerCase()}${name.slice(1)}`, subject: product.name };
  const units = isMade ? sheet.read(plannedOutput, product.id).forItself : plannedUnits(sheet, product.id);
  return [multiplied(called, use, units)];
}

/** The volume of a driver that overhead of a use is shared over: what is made for production, what is sold for the rest. */
export const volumesFor = (sheet: Sheet, driver: Driver, use: PoolUse): DriverVolume =>
  sheet.read(driverVolume, use === 'production' ? driver : `${driver}|sold`);

/** What is needed of a driver that overhead of a use is shared over. */
export const volumeFor = (sheet: Sheet, driver: Driver, use: PoolUse): Figure => volumesFor(sheet, driver, use).planned;
