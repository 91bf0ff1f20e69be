import { DecimalText, Name, Row, WholeNumber } from '../fields/index.js';

/** What an hour of work has to be charged at by whoever sells hours. */
export class ChargeOutRate extends Row {
  @Name({ label: 'Charge-out rate' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @DecimalText({ label: 'Income wanted a year', from: '0', to: '1000000000', nullable: true })
  incomePerYear: string | null = null;

  /** How much of the running costs of the book these hours have to carry. */
  @DecimalText({ label: 'Share of running costs, %', from: '0', to: '100' })
  runningCostPercent = '100';

  @DecimalText({ label: 'Weeks worked a year', above: '0', to: '53' })
  weeksPerYear = '46';

  @DecimalText({ label: 'Hours a week', above: '0', to: '168' })
  hoursPerWeek = '40';

  @DecimalText({ label: 'Hours a day', above: '0', to: '24' })
  hoursPerDay = '8';

  /** The share of the hours worked that customers pay for. */
  @DecimalText({ label: 'Billable share, %', above: '0', to: '100' })
  billablePercent = '65';
}
