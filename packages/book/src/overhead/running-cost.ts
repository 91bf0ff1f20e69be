import { Choice, Day, DecimalText, Name, TaxedRow, WholeNumber } from '../fields/index.js';

export const RHYTHMS = ['day', 'week', 'month', 'quarter', 'year', 'one-off'] as const;
export type Rhythm = (typeof RHYTHMS)[number];

export const RUNNING_COST_POOLS = ['production', 'non-production'] as const;
export type RunningCostPool = (typeof RUNNING_COST_POOLS)[number];

/** A cost that comes whether or not anything is made: rent, insurance, a subscription, a repair. */
export class RunningCost extends TaxedRow {
  @Name({ label: 'Name' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @DecimalText({ label: 'Amount', from: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  @Choice(RHYTHMS, { label: 'Frequency' })
  rhythm: Rhythm = 'month';

  /** Production cost keeps the making going; the rest (selling, office) enters full cost only. */
  @Choice(RUNNING_COST_POOLS, { label: 'Used for' })
  pool: RunningCostPool = 'production';

  /** For a one-off: the months over which it is spread. */
  @WholeNumber({ label: 'Spread over months', from: 1, to: 1200, nullable: true })
  months: number | null = null;

  /** For a one-off: the day from which it counts. */
  @Day({ label: 'Starts on', nullable: true })
  startsOn: string | null = null;
}
