import { Choice, DecimalText, Name, Reference, Row, Text } from '../fields/index.js';

/** What a product has to be for a term of a time equation to count. */
export const TIME_CONDITIONS = ['category', 'tag', 'product', 'all'] as const;
export type TimeCondition = (typeof TIME_CONDITIONS)[number];

export const TIME_TIMES = ['occurrence', 'bill line'] as const;
export type TimeTimes = (typeof TIME_TIMES)[number];

/** A term of the time equation of an activity: so many minutes more where a product is of a category, or for each line of its bill. */
export class TimeTerm extends Row {
  @Reference('activity', { label: 'Activity', goesWithTarget: true })
  activityId!: string;

  @Name({ label: 'Term' })
  name!: string;

  @DecimalText({ label: 'Minutes more', from: '-1000000', to: '1000000' })
  minutes!: string;

  @Choice(TIME_TIMES, { label: 'For each' })
  times: TimeTimes = 'occurrence';

  @Choice(TIME_CONDITIONS, { label: 'Where' })
  condition: TimeCondition = 'category';

  /** The category or the tag. */
  @Text({ label: 'Category or tag' })
  matches = '';

  @Reference('product', { label: 'Product', goesWithTarget: true, nullable: true })
  productId: string | null = null;
}
