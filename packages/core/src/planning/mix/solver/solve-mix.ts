import type { Highs, HighsCallbackMap } from 'highs';
import type { MixModel } from '../mix-model.js';
import { contradiction } from './contradiction.js';
import type { MixLimit } from './limits.js';
import { mixProgram, type MixProgram, modelData, unlimitedProducts } from './program.js';
import { startOf } from './start-mix.js';
import { gapOf, quantitiesOf, type Solved, solveModel, valuesOf } from './solved.js';

/** How the search for the best mix ended, or that there is nothing to search for. */
export type MixStatus = Solved['status'] | 'unlimited' | 'no products';

/** What is found so far, while the search goes on. */
export interface MixProgress {
  readonly seconds: number;
  /** Null before any mix is found. */
  readonly goal: number | null;
  /** What no mix can beat, as far as it is proven; null before anything is. */
  readonly bound: number | null;
  /** By product of the model; null before any mix is found. */
  readonly quantities: readonly number[] | null;
}

/** The best mix, or why there is none. */
export interface MixAnswer {
  readonly status: MixStatus;
  readonly isContinuous: boolean;
  readonly goal: number;
  readonly bound: number;
  /** How far the goal can be from the best possible, in percent of the goal. */
  readonly gapPercent: number;
  /** By product of the model. */
  readonly quantities: readonly number[];
  /** A smallest set of limits that contradict each other, where no mix fits. */
  readonly contradiction: readonly MixLimit[];
  /** The products that nothing limits, by their place in the model. */
  readonly unlimited: readonly number[];
}

const NONE: Omit<MixAnswer, 'status' | 'isContinuous'> = {
  goal: Number.NaN,
  bound: Number.NaN,
  gapPercent: Number.NaN,
  quantities: [],
  contradiction: [],
  unlimited: [],
};

/**
 * Finds the best mix of a model by HiGHS, in binary floats. Whole numbers are searched until the gap that the plan allows is
 * proven or its time is up; the search begins with the mix tried by hand where that fits. What is found so far is told to
 * `onProgress`. Where nothing fits, a smallest set of limits that contradict each other is named.
 */
export function solveMix(
  highs: Highs,
  model: MixModel,
  onProgress: (progress: MixProgress) => void = () => {},
): MixAnswer {
  const program = mixProgram(model);
  const { isContinuous } = program;
  if (model.products.length === 0) return { ...NONE, status: 'no products', isContinuous };
  const unlimited = unlimitedProducts(model);
  if (unlimited.length > 0) return { ...NONE, status: 'unlimited', isContinuous, unlimited };
  const solved = search(highs, program, onProgress);
  if (solved.status === 'infeasible')
    return { ...NONE, status: 'infeasible', isContinuous, contradiction: contradiction(highs, model) };
  return {
    ...NONE,
    status: solved.status,
    isContinuous,
    goal: solved.goal,
    bound: solved.bound,
    quantities: solved.quantities,
    gapPercent: gapOf(solved.goal, solved.bound),
  };
}

function search(highs: Highs, program: MixProgram, onProgress: (progress: MixProgress) => void): Solved {
  const { model } = program;
  if (program.columns.some(({ lower, upper }) => lower > upper + 1e-9))
    return {
      status: 'infeasible',
      goal: Number.NaN,
      bound: Number.NaN,
      quantities: [],
      values: [],
      rowDuals: [],
      columnDuals: [],
    };
  const { values, bound, seconds } = startOf(highs, program, model.secondsAtMost);
  const start = betterOf(program, [values, typedBy(program)]);
  const begun: MixProgress = {
    seconds,
    bound,
    goal: start === null ? null : goalOf(program, start),
    quantities: start === null ? null : quantitiesOf(program, start),
  };
  if (start !== null) onProgress(begun);
  return highs.withModel(modelData(highs, program), (solver) => {
    solver.options.set({
      output_flag: false,
      mip_rel_gap: model.gapPercent / 100,
      mip_abs_gap: 1e-6,
      time_limit: model.secondsAtMost - seconds,
    });
    if (start !== null) solver.setSolution({ colValue: start });
    return solveModel(highs, solver, program, () => solver.run(progressOf(highs, program, begun, onProgress)));
  });
}

/** The mix tried by hand as a start; null where it does not fit, or where nothing is counted whole. */
function typedBy(program: MixProgram): number[] | null {
  const quantities = program.model.products.map(({ quantity }) => quantity);
  return program.isContinuous ? null : valuesOf(program, quantities);
}

/** The start that reaches more of the goal; null for none. */
function betterOf(program: MixProgram, starts: readonly (readonly number[] | null)[]): readonly number[] | null {
  const turn = program.model.isLeast ? -1 : 1;
  return starts.reduce(
    (so, each) =>
      so === null || (each !== null && turn * (goalOf(program, each) - goalOf(program, so)) > 0) ? each : so,
    null,
  );
}

/** What the values of a program reach of the goal. */
const goalOf = ({ columns }: MixProgram, values: readonly number[]): number =>
  columns.reduce((so, { cost }, index) => so + cost * (values[index] ?? 0), 0);

/** Tells what is found on the way, beginning with what the start has found. */
function progressOf(
  highs: Highs,
  program: MixProgram,
  begun: MixProgress,
  tell: (progress: MixProgress) => void,
): HighsCallbackMap {
  const { callbackType } = highs.constants;
  let { quantities } = begun;
  const finite = (value: number | undefined, otherwise: number | null) =>
    value === undefined || !Number.isFinite(value) || Math.abs(value) > BEYOND_ALL_GOALS ? otherwise : value;
  const said = (data: { running_time?: number; mip_primal_bound?: number; mip_dual_bound?: number }) =>
    tell({
      seconds: begun.seconds + (data.running_time ?? 0),
      quantities,
      goal: finite(data.mip_primal_bound, begun.goal),
      bound: finite(data.mip_dual_bound, begun.bound),
    });
  return {
    [callbackType.mipImprovingSolution]: ({ data }) => {
      if (data.mip_solution !== undefined) quantities = quantitiesOf(program, data.mip_solution);
      said(data);
      return undefined;
    },
    [callbackType.mipLogging]: ({ data }) => {
      said(data);
      return undefined;
    },
  };
}

/** The solver says infinity by a number as large as this. */
const BEYOND_ALL_GOALS = 1e29;
