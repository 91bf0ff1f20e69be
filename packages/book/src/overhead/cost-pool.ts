import { Choice, DecimalText, Name, Reference, Row, WholeNumber } from '../fields/index.js';

export const POOL_USES = ['production', 'non-production'] as const;
export type PoolUse = (typeof POOL_USES)[number];

/** Running costs that are shared out together: occupancy, kiln room, office. */
export class CostPool extends Row {
  @Name({ label: 'Cost pool' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  /** Production costs keep the making going and are part of stock value; the rest (selling, office) enters full cost only. */
  @Choice(POOL_USES, { label: 'Used for' })
  use: PoolUse = 'production';

  /** The department that bears all of it. */
  @Reference('department', { label: 'Department', goesWithTarget: false, nullable: true })
  departmentId: string | null = null;

  /** By what it is apportioned where several departments bear it. */
  @Reference('apportionmentBasis', { label: 'Apportioned by', goesWithTarget: false, nullable: true })
  apportionmentBasisId: string | null = null;

  /** For time-driven costing: the minutes that the resources of the pool can work in a month (practical capacity). */
  @DecimalText({ label: 'Practical minutes a month', above: '0', to: '1000000000', nullable: true })
  practicalMinutes: string | null = null;
}
