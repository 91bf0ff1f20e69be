import { DecimalText, Reference, Row } from '../fields/index.js';

/** How much of a service department another department uses in a month, in whatever the service is counted by. */
export class ServiceUse extends Row {
  @Reference('department', { label: 'Service department', goesWithTarget: true })
  serviceId!: string;

  @Reference('department', { label: 'Used by', goesWithTarget: true })
  departmentId!: string;

  /** The usual, budgeted use. */
  @DecimalText({ label: 'Used', from: '0', to: '1000000000' })
  amount!: string;

  /** What is really used, for the variable part of a service at two rates; where empty, as much as is budgeted. */
  @DecimalText({ label: 'Actual use', from: '0', to: '1000000000', nullable: true })
  actualAmount: string | null = null;
}
