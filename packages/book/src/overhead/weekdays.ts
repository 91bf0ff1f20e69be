import { Flag, Row } from '../fields/index.js';

/** The weekdays, as the fields that say which of them are open, in the order of ISO 8601. */
export const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

/** A row that says on which weekdays the business is open. */
export abstract class WeekdaysRow extends Row {
  @Flag({ label: 'Mon' })
  monday = true;

  @Flag({ label: 'Tue' })
  tuesday = true;

  @Flag({ label: 'Wed' })
  wednesday = true;

  @Flag({ label: 'Thu' })
  thursday = true;

  @Flag({ label: 'Fri' })
  friday = true;

  @Flag({ label: 'Sat' })
  saturday = false;

  @Flag({ label: 'Sun' })
  sunday = false;
}
