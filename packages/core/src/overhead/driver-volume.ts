import { type Figure, multiplied, sum } from '../figure/index.js';
import type { PoolUse } from '@nuvar/book';
import { plannedOutput, plannedUnits } from '../production/index.js';
import type { Unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { type Driver, unitOfDriver } from './driver.js';
import { driverName, driverUse } from './driver-uses.js';

/** How much of a driver the plan needs. */
export interface DriverVolume {
  readonly planned: Figure;
  /** What the driver is counted in. */
  readonly perUnit: Unit;
}

/**
 * What all products need of a driver in a month; the id is the driver. What is made is the basis, wherever it is known apart from
 * what is sold; orders come with what is sold, and so does everything under the id "driver|sold", which overhead that never
 * enters stock value is shared over. What is archived needs none.
 */
export const driverVolume: Calculation<DriverVolume> = {
  name: 'driverVolume',
  meanings: { planned: 'How much of the driver the planned units of all products need in a month.' },
  work(sheet, id) {
    const [driver = '', basis] = id.split('|');
    const isOfSold = basis === 'sold' || driver === 'orders';
    const counted = unitOfDriver(sheet, driver);
    const name = driverName(sheet, driver);
    const needs = sheet.all('product').flatMap((product) => {
      const isPlanned = sheet.idsOf('plannedVolume', 'productId', product.id).length > 0;
      const isMade = !isOfSold && product.madePerMonth !== null;
      if (product.archived || (!isPlanned && !isMade)) return [];
      const use = driverUse(sheet, product.id, driver);
      const called = { name: `Planned ${name.charAt(0).toLowerCase()}${name.slice(1)}`, subject: product.name };
      if (use === null) return [];
      const units = isMade ? sheet.read(plannedOutput, product.id).forItself : plannedUnits(sheet, product.id);
      return [multiplied(called, use, units)];
    });
    return { planned: sum(`${name} that the plan needs`, counted.per(MONTH), needs), perUnit: counted };
  },
};

/** What is needed of a driver that overhead of a use is shared over: what is made for production, what is sold for the rest. */
export const volumeFor = (sheet: Sheet, driver: Driver, use: PoolUse): Figure =>
  sheet.read(driverVolume, use === 'production' ? driver : `${driver}|sold`).planned;
