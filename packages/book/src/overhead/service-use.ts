import { DecimalText, Reference, Row } from '../fields/index.js';

/** How much of a service department another department uses in a month, in whatever the service is counted by. */
export class ServiceUse extends Row {
  @Reference('department', { label: 'Service department', goesWithTarget: true })
  serviceId!: string;

  @Reference('department', { label: 'Used by', goesWithTarget: true })
  departmentId!: string;

  @DecimalText({ label: 'Used', from: '0', to: '1000000000' })
  amount!: string;
}
