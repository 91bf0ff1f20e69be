import { Day, Flag, Row, Text } from '../fields/index.js';

/** A day on which the business is closed though its weekday is open: a public holiday, a day of stocktaking. */
export class ClosedDay extends Row {
  @Day({ label: 'Date' })
  date!: string;

  @Text({ label: 'Occasion' })
  occasion = '';

  /** On the same day and month of every year. */
  @Flag({ label: 'Every year' })
  everyYear = false;
}
