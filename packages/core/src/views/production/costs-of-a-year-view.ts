import { equipmentRate, type EquipmentRate, labourRate, type LabourRate } from '../../production/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** What follows from the pay and the hours of a year; null where they are not entered. */
export interface LabourYearView {
  readonly wage: FigureView | null;
  readonly hoursAtWork: FigureView | null;
  readonly productiveShare: FigureView | null;
}

export function labourYearView(evaluation: Evaluation, gradeId: string): LabourYearView {
  const member = (name: keyof LabourRate & string) => whereSaid(evaluation, labourRate, gradeId, name);
  const hoursAtWork = member('hoursAtWork');
  const ofAYear = (name: keyof LabourRate & string) => (hoursAtWork === null ? null : member(name));
  return { wage: ofAYear('wage'), hoursAtWork, productiveShare: ofAYear('productiveShare') };
}

/** What a machine costs in a year whatever it makes, spread over its hours; null for what is not entered. */
export interface EquipmentYearView {
  readonly upkeep: FigureView | null;
  readonly floor: FigureView | null;
  readonly committed: FigureView | null;
}

export function equipmentYearView(evaluation: Evaluation, id: string): EquipmentYearView {
  const member = (name: keyof EquipmentRate & string) => whereSaid(evaluation, equipmentRate, id, name);
  return {
    upkeep: member('yearlyUpkeepPerHour'),
    floor: member('floorPerHour'),
    committed: member('committedPerHour'),
  };
}

function whereSaid<Result extends object>(
  evaluation: Evaluation,
  calculation: Calculation<Result>,
  id: string,
  member: keyof Result & string,
): FigureView | null {
  return evaluation.read(calculation, id)[member] === null ? null : shown(evaluation, calculation, id, member);
}
