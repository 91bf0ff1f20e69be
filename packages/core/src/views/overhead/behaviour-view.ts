import {
  committedGrades,
  committedMachines,
  committedPay,
  committedEquipment,
  fixedCosts,
  overhead,
} from '../../overhead/index.js';
import { type Evaluation, WHOLE_BOOK } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** What of the costs of a month comes whatever is made, and what changes with the work. */
export interface BehaviourView {
  readonly variableRunning: FigureView;
  readonly fixedRunning: FigureView;
  readonly committed: FigureView;
  readonly fixed: FigureView;
  readonly grades: readonly (Readonly<Record<'perMonth' | 'used' | 'unused', FigureView>> & {
    readonly id: string;
    readonly name: string;
    readonly isStepped: boolean;
  })[];
  readonly machines: readonly (Readonly<Record<'perMonth' | 'idleHours', FigureView>> & {
    readonly id: string;
    readonly name: string;
  })[];
}

/** The costs of a month by their behaviour. */
export function behaviourView(evaluation: Evaluation): BehaviourView {
  const { sheet } = evaluation;
  return {
    variableRunning: shown(evaluation, overhead, WHOLE_BOOK, 'variable'),
    fixedRunning: shown(evaluation, fixedCosts, WHOLE_BOOK, 'running'),
    committed: shown(evaluation, fixedCosts, WHOLE_BOOK, 'committed'),
    fixed: shown(evaluation, fixedCosts, WHOLE_BOOK, 'total'),
    grades: committedGrades(sheet).map(({ id, name, behaviour }) => ({
      id,
      name,
      isStepped: behaviour === 'stepped',
      ...shownAll(evaluation, committedPay, id, ['perMonth', 'used', 'unused']),
    })),
    machines: committedMachines(sheet).map(({ id, name }) => ({
      id,
      name,
      ...shownAll(evaluation, committedEquipment, id, ['perMonth', 'idleHours']),
    })),
  };
}
