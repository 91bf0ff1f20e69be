import { Choice, DecimalText, Name, Reference, Row, WholeNumber } from '../fields/index.js';

export const LABOUR_TIME_BASES = [
  'minutes per batch',
  'minutes per unit',
  'minutes per good unit',
  'units per hour',
] as const;
export type LabourTimeBasis = (typeof LABOUR_TIME_BASES)[number];

/** One step of the work on a product. */
export class LabourStep extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Step' })
  name!: string;

  @Reference('labourGrade', { label: 'Labour grade', goesWithTarget: false, nullable: true })
  gradeId: string | null = null;

  /** Where it is done; where empty, in the department of the grade. */
  @Reference('department', { label: 'Department', goesWithTarget: false, nullable: true })
  departmentId: string | null = null;

  @Choice(LABOUR_TIME_BASES, { label: 'Time basis' })
  timeBasis: LabourTimeBasis = 'minutes per unit';

  /** Minutes per batch, per started unit or per good unit, or started units per hour, as the basis says. */
  @DecimalText({ label: 'Time', from: '0', to: '1000000', nullable: true })
  time: string | null = null;

  /** What each batch takes once before the first unit, whatever its size. */
  @DecimalText({ label: 'Set-up, min a batch', from: '0', to: '1000000' })
  setUpMinutes = '0';

  /** People at work in this step at the same time. */
  @DecimalText({ label: 'People', above: '0', to: '1000' })
  people = '1';
}
