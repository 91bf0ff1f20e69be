import { Choice, Day, DecimalText, Flag, Name, Reference, TaxedRow, Text, WholeNumber } from '../fields/index.js';

export const RHYTHMS = ['day', 'week', 'month', 'quarter', 'year', 'one-off'] as const;
export type Rhythm = (typeof RHYTHMS)[number];

export const RUNNING_COST_BEHAVIOURS = ['fixed', 'stepped', 'variable'] as const;
export type RunningCostBehaviour = (typeof RUNNING_COST_BEHAVIOURS)[number];

/** What a running cost goes up and down with. */
export const VOLUME_DRIVERS = ['units', 'batches', 'orders', 'labour hours', 'machine hours'] as const;
export type VolumeDriver = (typeof VOLUME_DRIVERS)[number];

/** A cost that no single product brings: rent, insurance, a subscription, a repair. */
export class RunningCost extends TaxedRow {
  @Name({ label: 'Name' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  /** Each time that it comes; of a variable cost, for each unit of its driver. */
  @DecimalText({ label: 'Amount', from: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  @Choice(RHYTHMS, { label: 'Frequency' })
  rhythm: Rhythm = 'month';

  /** Where none is chosen, it counts as production overhead. */
  @Reference('costPool', { label: 'Cost pool', goesWithTarget: false, nullable: true })
  poolId: string | null = null;

  @Choice(RUNNING_COST_BEHAVIOURS, { label: 'Behaviour' })
  behaviour: RunningCostBehaviour = 'fixed';

  /** What a stepped or variable cost goes by. */
  @Choice(VOLUME_DRIVERS, { label: 'Goes by' })
  driver: VolumeDriver = 'labour hours';

  /** For a one-off: the months over which it is spread. */
  @WholeNumber({ label: 'Spread over months', from: 1, to: 1200, nullable: true })
  months: number | null = null;

  /** The day from which it counts. */
  @Day({ label: 'From', nullable: true })
  startsOn: string | null = null;

  /** The last day on which it counts. */
  @Day({ label: 'Until', nullable: true })
  endsOn: string | null = null;

  /** The month in which a yearly bill comes; a quarterly one comes then and every three months after. */
  @WholeNumber({ label: 'Due in month', from: 1, to: 12, nullable: true })
  dueMonth: number | null = null;

  /** False for depreciation and what else is no payment: a break-even in cash leaves it out. */
  @Flag({ label: 'Paid in cash' })
  paidInCash = true;

  @Text({ label: 'Account code' })
  accountCode = '';
}
