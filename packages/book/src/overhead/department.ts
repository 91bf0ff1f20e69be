import { Choice, DecimalText, Name, Row, WholeNumber } from '../fields/index.js';
import { ABSORPTION_BASES, type AbsorptionBasis } from './absorption-basis.js';

export const DEPARTMENT_TYPES = ['production', 'service'] as const;
export type DepartmentType = (typeof DEPARTMENT_TYPES)[number];

/** A department to which overhead is charged: one that works on products, or one that serves other departments. */
export class Department extends Row {
  @Name({ label: 'Department' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Choice(DEPARTMENT_TYPES, { label: 'Type' })
  type: DepartmentType = 'production';

  /** For a production department: what its overhead is absorbed by. Hours count where they are worked in it. */
  @Choice(ABSORPTION_BASES, { label: 'Absorbed by' })
  basis: AbsorptionBasis = 'labour hours';

  /** Its normal capacity a month in that basis (IAS 2, paragraph 13); where empty, what the plan needs. */
  @DecimalText({ label: 'Normal capacity a month', above: '0', to: '1000000000', nullable: true })
  normalCapacity: string | null = null;

  /** For a service department under step-down: its turn, the lowest first; where empty, the one that serves other services most. */
  @WholeNumber({ label: 'Step-down turn', from: 1, to: 1000, nullable: true })
  turn: number | null = null;

  /**
   * For a service department at two rates: the part of its own cost that varies with use, charged by actual use; the rest is
   * charged by budgeted use. Where empty, all is charged by one rate.
   */
  @DecimalText({ label: 'Variable part in percent', from: '0', to: '100', nullable: true })
  variablePercent: string | null = null;
}
