import type { ActivityDriver, RowOf, VolumeDriver } from '@nuvar/book';
import { type Unit } from '../quantity/index.js';
import { BATCH, DRIVER_UNIT, HOUR, LINE, MINUTE, money, ORDER, OUTPUT, type Sheet } from '../sheet/index.js';

/** What overhead is charged by that counts, and costs nothing itself: what the bills and the plan say. */
export type CountedDriver = VolumeDriver | Exclude<ActivityDriver, 'typed'>;

/**
 * What overhead is charged by: something counted, hours worked in a department ("labour hours@id"), an activity that is typed
 * ("activity@id") or the minutes of one ("minutes@id"), or a cost of the product.
 */
export type Driver = string;

export const hoursIn = (hours: 'labour hours' | 'machine hours', departmentId: string): Driver =>
  `${hours}@${departmentId}`;
export const activityDriver = (activityId: string): Driver => `activity@${activityId}`;

/** What an activity is counted by. */
export const driverOfActivity = ({ id, driver }: RowOf<'activity'>): Driver =>
  driver === 'typed' ? activityDriver(id) : driver;
export const minutesOf = (activityId: string): Driver => `minutes@${activityId}`;

export const gradeDriver = (gradeId: string): Driver => `grade@${gradeId}`;
export const machineDriver = (machineId: string): Driver => `machine@${machineId}`;

/** The costs of a product by which overhead may be absorbed. */
export const COST_DRIVERS = ['labour cost', 'material cost', 'prime cost', 'production cost'] as const;
export type CostDriver = (typeof COST_DRIVERS)[number];

/** What a product sells for is no cost of it. */
export const SALES_VALUE = 'sales value';

export const isCostDriver = (driver: Driver): driver is CostDriver => COST_DRIVERS.some((each) => each === driver);

const UNITS: Readonly<Record<string, Unit>> = {
  'labour hours': HOUR,
  'machine hours': HOUR,
  batches: BATCH,
  orders: ORDER,
  units: OUTPUT,
  'bill lines': LINE,
  activity: DRIVER_UNIT,
  minutes: MINUTE,
  grade: HOUR,
  machine: HOUR,
};

/** The unit in which a driver is counted. */
export function unitOfDriver(sheet: Sheet, driver: Driver): Unit {
  const at = driver.indexOf('@');
  const counted = UNITS[at < 0 ? driver : driver.slice(0, at)];
  return counted ?? (isCostDriver(driver) || driver === SALES_VALUE ? money(sheet) : DRIVER_UNIT);
}
