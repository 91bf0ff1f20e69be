/**
 * How a cost of making goes with what is made: it changes with each unit, it is committed for the period whatever is made,
 * or it goes in steps.
 */
export const COST_BEHAVIOURS = ['variable', 'committed', 'stepped'] as const;
export type CostBehaviour = (typeof COST_BEHAVIOURS)[number];
