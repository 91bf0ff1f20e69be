import { DecimalText, Reference, Row } from '../fields/index.js';

/** How much of an apportionment basis a department has: 40 m² of floor. */
export class DepartmentMeasure extends Row {
  @Reference('apportionmentBasis', { label: 'Apportionment basis', goesWithTarget: true })
  apportionmentBasisId!: string;

  @Reference('department', { label: 'Department', goesWithTarget: true })
  departmentId!: string;

  @DecimalText({ label: 'Amount', from: '0', to: '1000000000' })
  amount!: string;
}
