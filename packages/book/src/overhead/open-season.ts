import { Day, Flag, Name } from '../fields/index.js';
import { WeekdaysRow } from './weekdays.js';

/** A part of the year with opening days of its own: Sundays before Christmas, a closed January. */
export class OpenSeason extends WeekdaysRow {
  @Name({ label: 'Season' })
  name!: string;

  @Day({ label: 'From' })
  startsOn!: string;

  /** The last day of it. */
  @Day({ label: 'Until' })
  endsOn!: string;

  @Flag({ label: 'Every year' })
  everyYear = true;
}
