/**
 * By which of its listed prices a material is planned: the newest, the highest of a period (the cautious choice for goods
 * with a season), or the average of a period.
 */
export const PLANNING_BASES = ['latest', 'highest', 'average'] as const;
export type PlanningBasis = (typeof PLANNING_BASES)[number];
