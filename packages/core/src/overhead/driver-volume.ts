import { type Figure, multiplied, sum } from '../figure/index.js';
import { plannedUnits } from '../production/index.js';
import type { Unit } from '../quantity/index.js';
import { type Calculation, MONTH } from '../sheet/index.js';
import { unitOfDriver } from './driver.js';
import { driverName, driverUse } from './driver-uses.js';

/** How much of a driver the plan needs. */
export interface DriverVolume {
  readonly planned: Figure;
  /** What the driver is counted in. */
  readonly perUnit: Unit;
}

/** What the planned units of all products need of a driver in a month; the id is the driver. What is archived needs none. */
export const driverVolume: Calculation<DriverVolume> = {
  name: 'driverVolume',
  meanings: { planned: 'How much of the driver the planned units of all products need in a month.' },
  work(sheet, driver) {
    const counted = unitOfDriver(sheet, driver);
    const name = driverName(sheet, driver);
    const needs = sheet.all('product').flatMap((product) => {
      if (product.archived || sheet.idsOf('plannedVolume', 'productId', product.id).length === 0) return [];
      const use = driverUse(sheet, product.id, driver);
      const called = { name: `Planned ${name.charAt(0).toLowerCase()}${name.slice(1)}`, subject: product.name };
      return use === null ? [] : [multiplied(called, use, plannedUnits(sheet, product.id))];
    });
    return { planned: sum(`${name} that the plan needs`, counted.per(MONTH), needs), perUnit: counted };
  },
};
