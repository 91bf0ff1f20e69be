import { DecimalText, Reference, Row, WholeNumber } from '../fields/index.js';

/** The planned units of one month of the year, in place of those that follow from the average month and its season. */
export class PlannedMonth extends Row {
  @Reference('plannedVolume', { label: 'Planned volume', goesWithTarget: true })
  volumeId!: string;

  @WholeNumber({ label: 'Month', from: 1, to: 12 })
  month!: number;

  @DecimalText({ label: 'Units', from: '0', to: '1000000000' })
  units!: string;
}
