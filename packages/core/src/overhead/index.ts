import type { Calculation } from '../sheet/index.js';
import { absorbedMonth } from './absorbed-month.js';
import { chargeOut } from './charge-out-rate.js';
import { cashCosts } from './cash-costs.js';
import { committedPay, committedEquipment, fixedCosts } from './committed-period.js';
import { costMonth, costYear } from './cost-month.js';
import { departmentCost, serviceShare } from './department-cost.js';
import { productDriverUse } from './driver-uses.js';
import { driverVolume } from './driver-volume.js';
import { calendarMonth, openDays } from './open-days.js';
import { overhead } from './overhead.js';
import { poolCost } from './pool-cost.js';
import { costOfOrder, orderSizeDifference } from './order-size.js';
import { proratedOverhead } from './prorated-overhead.js';
import { productOverhead, productOverheadBy } from './product-overhead.js';
import { runningCost } from './running-cost.js';
import { workNeeded } from './work-needed.js';
import { lotUse, overheadLot, overheadTotals, unassignedCost } from './shared-out.js';

export { absorbedMonth } from './absorbed-month.js';
export { proratedOverhead } from './prorated-overhead.js';
export { cashCosts } from './cash-costs.js';
export { chargeOut } from './charge-out-rate.js';
export {
  committedGrades,
  committedMachines,
  committedPay,
  committedEquipment,
  fixedCosts,
} from './committed-period.js';
export { costMonth, costYear } from './cost-month.js';
export { steppedCosts, type StepOfMonth, stepsOfMonth } from './cost-steps.js';
export { departmentCost, departmentCosts, serviceShare } from './department-cost.js';
export { driverOfActivity, type CostDriver, type Driver, isCostDriver, minutesOf, SALES_VALUE } from './driver.js';
export { productsBelowNoTime } from './activity-minutes.js';
export { driversOfAnyBatch, driverUse, productDriverUse } from './driver-uses.js';
export { driverVolume } from './driver-volume.js';
export { costOfOrder, orderSizeDifference } from './order-size.js';
export { OVERHEAD_GAPS } from './gaps.js';
export type { Bearing, Lot, SharedOut, Unassigned } from './lot.js';
export { methodOf, methodOfTheBook, type MethodRow, STANDARD_METHOD } from './methods/index.js';
export { calendarMonth, MONTHS_A_YEAR, openDays } from './open-days.js';
export { overhead, type Overhead } from './overhead.js';
export { planningMonths } from './planning-year.js';
export { poolCost, poolsOf } from './pool-cost.js';
export { type OverheadItem, productOverhead, type ProductOverhead, productOverheadBy } from './product-overhead.js';
export { runningCost } from './running-cost.js';
export { workNeeded } from './work-needed.js';
export { lotUse, overheadLot, overheadTotals, sharedOut, unassignedCost } from './shared-out.js';

/** The calculations of this room whose figures can be asked for by key. */
export const OVERHEAD_CALCULATIONS: readonly Calculation<unknown>[] = [
  openDays,
  calendarMonth,
  runningCost,
  costMonth,
  costYear,
  poolCost,
  driverVolume,
  workNeeded,
  productDriverUse,
  departmentCost,
  serviceShare,
  costOfOrder,
  orderSizeDifference,
  overheadLot,
  lotUse,
  overheadTotals,
  unassignedCost,
  productOverhead,
  productOverheadBy,
  overhead,
  committedPay,
  committedEquipment,
  cashCosts,
  fixedCosts,
  chargeOut,
  absorbedMonth,
  proratedOverhead,
];
