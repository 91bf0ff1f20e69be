import { Choice, DecimalText, Flag, Name, Reference, Row, WholeNumber } from '../fields/index.js';

/** The level at which an activity happens. Facility: it keeps the whole place going. */
export const ACTIVITY_LEVELS = ['unit', 'batch', 'product', 'facility'] as const;
export type ActivityLevel = (typeof ACTIVITY_LEVELS)[number];

/** What an activity is counted by: what the bills and the plan say already, or what is typed for each product. */
export const ACTIVITY_DRIVERS = [
  'typed',
  'units',
  'batches',
  'orders',
  'bill lines',
  'labour hours',
  'machine hours',
] as const;
export type ActivityDriver = (typeof ACTIVITY_DRIVERS)[number];

/** Something that is done for products and costs overhead: setting up, taking orders, inspecting. */
export class Activity extends Row {
  @Name({ label: 'Activity' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Choice(ACTIVITY_LEVELS, { label: 'Level' })
  level: ActivityLevel = 'batch';

  @Choice(ACTIVITY_DRIVERS, { label: 'Driver' })
  driver: ActivityDriver = 'typed';

  /** The driver units that can be done in a month (practical capacity); where empty, what the plan needs. */
  @DecimalText({ label: 'Practical volume a month', above: '0', to: '1000000000', nullable: true })
  practicalVolume: string | null = null;

  /** Its cost is charged to products; where not, it is shown as not shared out. */
  @Flag({ label: 'Charged to products' })
  isCharged = true;

  /** For time-driven costing: whose resources do it. */
  @Reference('costPool', { label: 'Done by', goesWithTarget: false, nullable: true })
  resourcePoolId: string | null = null;

  /** For time-driven costing: the minutes that each occurrence takes, before what its time equation adds. */
  @DecimalText({ label: 'Minutes each', from: '0', to: '1000000', nullable: true })
  minutes: string | null = null;
}
