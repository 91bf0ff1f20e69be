import { Day, DecimalText, Reference, Row } from '../fields/index.js';

/** What production overhead really came to in a month, and the work over which it was absorbed. */
export class OverheadActual extends Row {
  /** The first day of the month. */
  @Day({ label: 'Month' })
  month!: string;

  /** Empty for the whole business. */
  @Reference('department', { label: 'Department', goesWithTarget: true, nullable: true })
  departmentId: string | null = null;

  @DecimalText({ label: 'Actual overhead', from: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  /** In the basis of absorption: the hours really worked. */
  @DecimalText({ label: 'Actual basis', from: '0', to: '1000000000', nullable: true })
  basisQuantity: string | null = null;

  /** The basis that the output should have taken: standard hours of the output. */
  @DecimalText({ label: 'Standard for the output', from: '0', to: '1000000000', nullable: true })
  standardQuantity: string | null = null;

  /** The budget of that month; where empty, that of today. */
  @DecimalText({ label: 'Budgeted overhead', from: '0', to: '1000000000', nullable: true })
  budgetAmount: string | null = null;

  @DecimalText({ label: 'Budgeted basis', above: '0', to: '1000000000', nullable: true })
  budgetQuantity: string | null = null;

  /** Of the absorbed overhead, what is still in work in progress at the end of the month. */
  @DecimalText({ label: 'Of it in work in progress', from: '0', to: '1000000000' })
  absorbedInProgress = '0';

  /** Of the absorbed overhead, what is in finished stock at the end of the month; the rest is in cost of sales. */
  @DecimalText({ label: 'Of it in finished stock', from: '0', to: '1000000000' })
  absorbedInStock = '0';
}
