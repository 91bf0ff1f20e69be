import type { Highs, Model } from 'highs';
import type { ModelResource } from '../mix-model.js';
import { componentMade, extraUsed, madeByHead, mixSums } from './mix-sums.js';
import type { MixProgram, ProgramColumn } from './program.js';

/** How a search ended. */
export type SolvedStatus = 'best' | 'time limit' | 'infeasible' | 'failed';

/** One state of a program, solved: the mix, what it reaches, and by the limits what more of them would bring. */
export interface Solved {
  readonly status: SolvedStatus;
  readonly goal: number;
  /** The best that is possible at all, as far as it is proven. */
  readonly bound: number;
  /** By product of the model. */
  readonly quantities: readonly number[];
  readonly values: readonly number[];
  /** By row: what the goal gains with one more of its limit. Empty where something is counted whole. */
  readonly rowDuals: readonly number[];
  /** By column: what the goal gains with one more of it. */
  readonly columnDuals: readonly number[];
}

const NOT_SOLVED = { goal: Number.NaN, bound: Number.NaN, quantities: [], values: [], rowDuals: [], columnDuals: [] };

/** Solves what a model holds as it stands, and reads the answer. */
export function solveModel(
  highs: Highs,
  model: Model,
  program: MixProgram,
  run: () => void = () => model.run(),
): Solved {
  if (!hasRun(model, run)) return { status: 'failed', ...NOT_SOLVED };
  const status = statusOf(highs, model);
  if (status === 'infeasible' || status === 'failed') return { status, ...NOT_SOLVED };
  if (!hasAnswer(highs, model)) return { status, ...NOT_SOLVED, bound: boundOf(model, program) };
  const { colValue, colDual, rowDual } = model.getSolution();
  const { isContinuous, rows, columns, worth } = program;
  const goal = model.getObjectiveValue() * worth;
  const values = [...colValue];
  return {
    status,
    goal,
    values,
    quantities: quantitiesOf(program, values),
    bound: status === 'best' && isContinuous ? goal : boundOf(model, program),
    rowDuals: isContinuous ? rows.map(({ scale }, index) => ((rowDual[index] ?? 0) * worth) / scale) : [],
    columnDuals: isContinuous ? columns.map(({ step }, index) => ((colDual[index] ?? 0) * worth) / step) : [],
  };
}

/** Runs the solver; once more without what it simplifies beforehand, where that fails. False where it fails again. */
export function hasRun(model: Model, run: () => void): boolean {
  try {
    run();
    return true;
  } catch {
    try {
      model.options.set('presolve', 'off');
      run();
      return true;
    } catch {
      return false;
    } finally {
      model.options.set('presolve', 'choose');
    }
  }
}

function statusOf({ constants: { modelStatus: all } }: Highs, model: Model): SolvedStatus {
  switch (model.getModelStatus()) {
    case all.optimal:
    case all.empty:
      return 'best';
    case all.timeLimit:
    case all.solutionLimit:
    case all.iterationLimit:
    case all.interrupted:
      return 'time limit';
    case all.infeasible:
    case all.unboundedOrInfeasible:
      return 'infeasible';
    default:
      return 'failed';
  }
}

/** True where there is a mix to read: a search that is cut short may have found none. */
const hasAnswer = ({ constants: { modelStatus, solutionStatus } }: Highs, model: Model): boolean =>
  model.getModelStatus() === modelStatus.empty ||
  Number(model.info.get('primal_solution_status')) === solutionStatus.feasible;

const boundOf = (model: Model, { isContinuous, worth }: MixProgram) =>
  isContinuous ? Number.NaN : (knownBound(Number(model.info.get('mip_dual_bound'))) ?? Number.NaN) * worth;

/** How much of each product the values of a program stand for. */
export function quantitiesOf({ model, columns }: MixProgram, values: ArrayLike<number>): number[] {
  const quantities = model.products.map(() => 0);
  columns.forEach(({ of, at, step, isWhole }, index) => {
    const value = values[index] ?? 0;
    if (of === 'quantity') quantities[at] = isWhole ? Math.round(value) * step + 0 : settled(value * step, step);
  });
  return quantities;
}

const DIGITS = 12;
const NEAR = 1e-6;

/**
 * A value of the solver without the noise of its floats: whole where it is within a millionth of it - of what it is counted in,
 * where that is less than one - else to twelve digits.
 */
export function settled(value: number, size = 1): number {
  const whole = Math.round(value);
  if (Math.abs(value - whole) <= NEAR * Math.min(1, size) * Math.max(1, Math.abs(whole) * 1e-3)) return whole + 0;
  return Number(value.toPrecision(DIGITS));
}

/** The values of a program that a mix stands for, to begin with: null where it breaks a bound of the program itself. */
export function valuesOf({ model, columns }: MixProgram, quantities: readonly number[]): number[] | null {
  const { made, taken } = mixSums(model, quantities);
  const together = madeByHead(model, quantities);
  const valueOf = ({ of, at, step }: ProgramColumn): number => {
    if (of === 'quantity') return (quantities[at] ?? 0) / step;
    if (of === 'made') return made.has(at) ? 1 : 0;
    if (of === 'batches') return (together[at] ?? 0) / (model.products[at]?.batch ?? 1);
    const resource = model.resources[at] as ModelResource;
    const value = of === 'component' ? componentMade : extraUsed;
    return value(resource, taken[at] ?? 0) / step;
  };
  const values = columns.map(valueOf);
  const fits = columns.every(({ lower, upper, isWhole }, index) => {
    const value = values[index] as number;
    return value >= lower - NEAR && value <= upper + NEAR && (!isWhole || Math.abs(value - Math.round(value)) <= NEAR);
  });
  return fits ? values : null;
}

/** The solver says infinity by a number as large as this. */
const BEYOND_ALL_GOALS = 1e29;

/** A bound that is proven; null for one that is not known. */
export const knownBound = (bound: number | null | undefined): number | null =>
  bound == null || !Number.isFinite(bound) || Math.abs(bound) > BEYOND_ALL_GOALS ? null : bound;

/** How far a goal can be from the best possible, in percent of itself; not a number where nothing is proven, or the goal is nothing. */
export function gapOf(goal: number, bound: number | null): number {
  if (knownBound(bound) === null || bound === null) return Number.NaN;
  const apart = Math.abs(bound - goal);
  if (apart < 1e-9) return 0;
  return Math.abs(goal) < 1e-9 ? Number.NaN : (apart / Math.abs(goal)) * 100;
}
