export { CandidatePrice } from './candidate-price.js';
export {
  Decision,
  DECISION_TYPES,
  DecisionCost,
  FIXED_COST_FATES,
  type DecisionType,
  type FixedCostFate,
} from './decision.js';
export {
  MIX_COUNTS,
  MIX_GOALS,
  MIX_SET_UPS,
  MIX_TOTAL_MEASURES,
  MIX_TOTAL_RULES,
  MIX_TOTAL_SIDES,
  MixPeriod,
  MixPeriodProduct,
  MixPeriodResource,
  MixPlan,
  MixProduct,
  MixResource,
  MixTotal,
  MixTotalProduct,
  MixUse,
  type MixCount,
  type MixGoal,
  type MixSetUp,
  type MixTotalMeasure,
  type MixTotalRule,
  type MixTotalSide,
} from './mix-plan.js';
export { PlannedMonth } from './planned-month.js';
export { PlannedVolume } from './planned-volume.js';
export { MONTH_FIELDS, Season, type MonthField } from './season.js';
export { WHAT_IF_WAYS, WhatIf, WhatIfChange, type WhatIfWay } from './what-if.js';
