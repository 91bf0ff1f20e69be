import type { Highs, HighsCallbackMap } from 'highs';
import type { MixModel } from '../mix-model.js';
import { contradiction } from './contradiction.js';
import type { MixLimit } from './limits.js';
import { unlimitedProducts } from './product-limits.js';
import { mixProgram, type MixProgram } from './program.js';
import { startOf } from './start-mix.js';
import { gapOf, knownBound, quantitiesOf, type Solved, solveModel, valuesOf } from './solved.js';
import { withProgram } from './with-program.js';

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
  /** What no mix can beat; null where nothing is proven. */
  readonly bound: number | null;
  /** How far the goal can be from the best possible, in percent of the goal; not a number where that is not known. */
  readonly gapPercent: number;
  /** By product of the model. */
  readonly quantities: readonly number[];
  /** A smallest set of limits that contradict each other, where no mix fits. */
  readonly contradiction: readonly MixLimit[];
  /** The products that nothing limits, by their place in the model; where no mix fits, those that nothing would limit either. */
  readonly unlimited: readonly number[];
}

const NONE: Omit<MixAnswer, 'status' | 'isContinuous'> = {
  goal: Number.NaN,
  bound: null,
  gapPercent: Number.NaN,
  quantities: [],
  contradiction: [],
  unlimited: [],
};

/** What a search may begin with, and whom it tells what it has found so far. */
export interface MixSearchOptions {
  /** The mix tried by hand, by product of the model. */
  readonly tried?: readonly number[];
  readonly onProgress?: (progress: MixProgress) => void;
}

/**
 * Finds the best mix of a model by HiGHS, in binary floats. Whole numbers are searched until the gap that the plan allows is
 * proven or its time is up; the search begins with the mix tried by hand where that fits. What is found so far is told to
 * `onProgress`. Where nothing fits, a smallest set of limits that contradict each other is named.
 */
export function solveMix(highs: Highs, model: MixModel, options: MixSearchOptions = {}): MixAnswer {
  const program = mixProgram(model);
  const { isContinuous } = program;
  if (model.products.length === 0) return { ...NONE, status: 'no products', isContinuous };
  const unlimited = unlimitedProducts(model);
  if (unlimited.length > 0) {
    const limits = contradiction(highs, model);
    return {
      ...NONE,
      status: limits.length > 0 ? 'infeasible' : 'unlimited',
      isContinuous,
      unlimited,
      contradiction: limits,
    };
  }
  const solved = search(highs, program, options);
  if (solved.status === 'infeasible')
    return { ...NONE, status: 'infeasible', isContinuous, contradiction: contradiction(highs, model) };
  const bound = knownBound(solved.bound);
  return {
    ...NONE,
    status: solved.status,
    isContinuous,
    bound,
    goal: solved.goal,
    quantities: solved.quantities,
    gapPercent: gapOf(solved.goal, bound),
  };
}

const NO_SOLUTION = { goal: Number.NaN, bound: Number.NaN, quantities: [], values: [], rowDuals: [], columnDuals: [] };

function search(highs: Highs, program: MixProgram, { tried = [], onProgress = () => {} }: MixSearchOptions): Solved {
  const { model } = program;
  if (program.columns.some(({ lower, upper }) => lower > upper + 1e-9)) return { status: 'infeasible', ...NO_SOLUTION };
  const { values, bound, seconds } = startOf(highs, program, model.secondsAtMost);
  const start = betterOf(program, [
    values,
    tried.length === 0 || program.isContinuous ? null : valuesOf(program, tried),
  ]);
  const begun: MixProgress = {
    seconds,
    bound,
    goal: start === null ? null : goalOf(program, start),
    quantities: start === null ? null : quantitiesOf(program, start),
  };
  if (start !== null) onProgress(begun);
  const secondsLeft = model.secondsAtMost - seconds;
  if (secondsLeft <= 0) return begunWith(begun);
  const options = { mip_rel_gap: model.gapPercent / 100, time_limit: secondsLeft };
  const solved = withProgram(highs, program, options, (solver) => {
    if (start !== null) solver.setSolution({ colValue: start });
    return solveModel(highs, solver, program, () => solver.run(progressOf(highs, program, begun, onProgress)));
  });
  // What the start has found is kept where the solver had no time to take it over.
  return solved.status === 'time limit' && solved.quantities.length === 0 ? begunWith(begun) : solved;
}

/** The search as it stands where its time is up with the start. */
const begunWith = ({ goal, bound, quantities }: MixProgress): Solved => ({
  status: 'time limit',
  ...NO_SOLUTION,
  ...(goal === null || quantities === null ? {} : { goal, quantities }),
  bound: bound ?? Number.NaN,
});

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
const goalOf = ({ columns, offset, worth }: MixProgram, values: readonly number[]): number =>
  columns.reduce((so, { cost }, index) => so + cost * (values[index] ?? 0), offset) * worth;

/** Tells what is found on the way, beginning with what the start has found. */
function progressOf(
  highs: Highs,
  program: MixProgram,
  begun: MixProgress,
  tell: (progress: MixProgress) => void,
): HighsCallbackMap {
  const { callbackType } = highs.constants;
  let { quantities } = begun;
  const inGoal = (value: number | undefined) => {
    const known = knownBound(value);
    return known === null ? null : known * program.worth;
  };
  const said = (data: { running_time?: number; mip_primal_bound?: number; mip_dual_bound?: number }) =>
    tell({
      seconds: begun.seconds + (data.running_time ?? 0),
      quantities,
      goal: inGoal(data.mip_primal_bound) ?? begun.goal,
      bound: inGoal(data.mip_dual_bound) ?? begun.bound,
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
