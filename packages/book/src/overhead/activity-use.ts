import { Choice, DecimalText, Reference, Row } from '../fields/index.js';

export const ACTIVITY_USE_BASES = ['unit', 'batch', 'order', 'month'] as const;
export type ActivityUseBasis = (typeof ACTIVITY_USE_BASES)[number];

/** How often an activity is done for a product. */
export class ActivityUse extends Row {
  @Reference('activity', { label: 'Activity', goesWithTarget: true })
  activityId!: string;

  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  /** Driver units, for each of what `per` says. */
  @DecimalText({ label: 'Driver units', from: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  @Choice(ACTIVITY_USE_BASES, { label: 'Per' })
  per: ActivityUseBasis = 'batch';
}
