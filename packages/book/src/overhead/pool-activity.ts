import { DecimalText, Reference, Row } from '../fields/index.js';

/** The share of a cost pool that an activity takes up. What no activity takes up is shown as not shared out. */
export class PoolActivity extends Row {
  @Reference('costPool', { label: 'Cost pool', goesWithTarget: true })
  poolId!: string;

  @Reference('activity', { label: 'Activity', goesWithTarget: true })
  activityId!: string;

  @DecimalText({ label: 'Share, %', from: '0', to: '100' })
  percent!: string;
}
