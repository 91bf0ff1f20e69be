import { Choice, DecimalText, Flag, Name, Reference, Row } from '../fields/index.js';
import { COST_BEHAVIOURS, type CostBehaviour } from './cost-behaviour.js';

/** A kind of work with its pay. The owner's own time is a grade too. */
export class LabourGrade extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @DecimalText({ label: 'Wage per hour', from: '0', to: '100000', nullable: true })
  wagePerHour: string | null = null;

  /** What the employer pays on top of the wage, as a percentage of the wage. */
  @DecimalText({ label: 'On-costs', from: '0', to: '1000' })
  onCostPercent = '0';

  /** Share of the paid time in which something is made. */
  @DecimalText({ label: 'Productive time %', above: '0', to: '100' })
  productivePercent = '100';

  @Flag({ label: "Owner's own time" })
  ownersTime = false;

  /** Where it works, unless a step says otherwise. */
  @Reference('department', { label: 'Department', goesWithTarget: false, nullable: true })
  departmentId: string | null = null;

  @Choice(COST_BEHAVIOURS, { label: 'Behaviour' })
  behaviour: CostBehaviour = 'variable';

  /** For pay that is committed: the paid hours of a month. For pay in steps: the paid hours of each step. */
  @DecimalText({ label: 'Paid hours a month', above: '0', to: '10000000', nullable: true })
  paidHoursPerMonth: string | null = null;

  /** In place of a wage per hour: what it is paid in a year, spread over the paid hours of the year. */
  @DecimalText({ label: 'Pay a year', from: '0', to: '1000000000', nullable: true })
  payPerYear: string | null = null;

  /** The hours that are paid in a year, holidays and absences included. */
  @DecimalText({ label: 'Paid hours a year', above: '0', to: '100000000', nullable: true })
  paidHoursPerYear: string | null = null;

  @DecimalText({ label: 'Holidays, hours a year', from: '0', to: '100000000' })
  holidayHoursPerYear = '0';

  /** Sickness, training and the like, as far as it is paid. */
  @DecimalText({ label: 'Absences, hours a year', from: '0', to: '100000000' })
  absenceHoursPerYear = '0';
}
