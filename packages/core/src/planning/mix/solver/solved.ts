import type { Highs, Model } from 'highs';
import type { MixModel } from '../mix-model.js';
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
  run();
  const status = statusOf(highs, model);
  if (status === 'infeasible' || status === 'failed') return { status, ...NOT_SOLVED };
  if (!hasAnswer(highs, model)) return { status, ...NOT_SOLVED, bound: boundOf(model, program) };
  const { colValue, colDual, rowDual } = model.getSolution();
  const goal = model.getObjectiveValue();
  const values = [...colValue];
  const { isContinuous, rows } = program;
  return {
    status,
    goal,
    values,
    quantities: quantitiesOf(program, values),
    bound: status === 'best' && isContinuous ? goal : boundOf(model, program),
    rowDuals: isContinuous ? rows.map(({ scale }, index) => (rowDual[index] ?? 0) / scale) : [],
    columnDuals: isContinuous ? [...colDual] : [],
  };
}

function statusOf({ constants: { modelStatus: all } }: Highs, model: Model): SolvedStatus {
  switch (model.getModelStatus()) {
    case all.optimal:
    case all.empty:
      return 'best';
    case all.timeLimit:
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

const boundOf = (model: Model, { isContinuous }: MixProgram) =>
  isContinuous ? Number.NaN : Number(model.info.get('mip_dual_bound'));

/** How much of each product the values of a program stand for. */
export function quantitiesOf({ model, columns }: MixProgram, values: ArrayLike<number>): number[] {
  const quantities = model.products.map(() => 0);
  columns.forEach(({ of, at, step, isWhole }, index) => {
    if (of === 'quantity')
      quantities[at] = settled(isWhole ? Math.round(values[index] ?? 0) : (values[index] ?? 0)) * step;
  });
  return quantities;
}

const DIGITS = 10;
const NEAR = 1e-6;

/** A value of the solver without the noise of its floats: whole where it is within a millionth of it, else to ten digits. */
export function settled(value: number): number {
  const whole = Math.round(value);
  if (Math.abs(value - whole) <= NEAR * Math.max(1, Math.abs(whole) * 1e-3)) return whole === 0 ? 0 : whole;
  return Number(value.toPrecision(DIGITS));
}

/** The values of a program that a mix stands for, to begin with: null where it breaks a bound of the program itself. */
export function valuesOf({ model, columns }: MixProgram, quantities: readonly number[]): number[] | null {
  const isMade = headsMade(model, quantities);
  const used = model.resources.map((_resource, at) =>
    model.uses.reduce(
      (so, { product, resource, perUnit, forSetUp }) =>
        resource !== at ? so : so + perUnit * (quantities[product] ?? 0) + (isMade.has(product) ? forSetUp : 0),
      0,
    ),
  );
  const valueOf = ({ of, at, step }: ProgramColumn): number => {
    if (of === 'quantity') return (quantities[at] ?? 0) / step;
    if (of === 'made') return isMade.has(at) ? 1 : 0;
    return Math.max(0, (used[at] ?? 0) - (model.resources[at]?.available ?? 0));
  };
  const values = columns.map(valueOf);
  const fits = columns.every(({ lower, upper, isWhole }, index) => {
    const value = values[index] as number;
    return value >= lower - NEAR && value <= upper + NEAR && (!isWhole || Math.abs(value - Math.round(value)) <= NEAR);
  });
  return fits ? values : null;
}

/** The places of the lines whose set-up is paid: those of the products that are made in any of their lines. */
export const headsMade = ({ products }: MixModel, quantities: readonly number[]): ReadonlySet<number> =>
  new Set(products.flatMap(({ setUpWith }, at) => ((quantities[at] ?? 0) > 0 ? [setUpWith] : [])));

/** How far a goal can be from the best possible, in percent of itself. */
export function gapOf(goal: number, bound: number): number {
  const apart = Math.abs(bound - goal);
  return apart < 1e-9 ? 0 : (apart / Math.max(Math.abs(goal), 1e-9)) * 100;
}
