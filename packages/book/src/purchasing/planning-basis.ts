/**
 * By which of its listed prices a material is planned: the newest, the highest of a period (the cautious choice for goods
 * with a season), the average of a period, or a standard price that is set by hand from a date.
 */
export const PLANNING_BASES = ['latest', 'highest', 'average', 'standard'] as const;
export type PlanningBasis = (typeof PLANNING_BASES)[number];
