export { ABSORPTION_BASES, type AbsorptionBasis } from './absorption-basis.js';
export { Activity, ACTIVITY_DRIVERS, ACTIVITY_LEVELS, type ActivityDriver, type ActivityLevel } from './activity.js';
export { ActivityUse, ACTIVITY_USE_BASES, type ActivityUseBasis } from './activity-use.js';
export { ApportionmentBasis } from './apportionment-basis.js';
export { ChargeOutRate } from './charge-out-rate.js';
export { ClosedDay } from './closed-day.js';
export { CostIncrease } from './cost-increase.js';
export { CostPool, POOL_USES, type PoolUse } from './cost-pool.js';
export { CostStep } from './cost-step.js';
export {
  CAPACITIES,
  CostingMethod,
  METHOD_ROLES,
  METHOD_TYPES,
  SERVICE_METHODS,
  type Capacity,
  type MethodRole,
  type MethodType,
  type ServiceMethod,
} from './costing-method.js';
export { Department, DEPARTMENT_TYPES, type DepartmentType } from './department.js';
export { DepartmentMeasure } from './department-measure.js';
export { OpenSeason } from './open-season.js';
export { OverheadActual } from './overhead-actual.js';
export { PoolActivity } from './pool-activity.js';
export {
  RHYTHMS,
  RUNNING_COST_BEHAVIOURS,
  RunningCost,
  VOLUME_DRIVERS,
  type Rhythm,
  type RunningCostBehaviour,
  type VolumeDriver,
} from './running-cost.js';
export { ServiceUse } from './service-use.js';
export { TIME_CONDITIONS, TIME_TIMES, TimeTerm, type TimeCondition, type TimeTimes } from './time-term.js';
export { WEEKDAYS, type Weekday } from './weekdays.js';
