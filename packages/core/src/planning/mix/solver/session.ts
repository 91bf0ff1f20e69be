import type { Highs, Model } from 'highs';
import type { MixModel } from '../mix-model.js';
import { mixProgram, type MixProgram, type ProgramColumn, type ProgramRow } from './program.js';
import { type SharpRanges, sharpRanges } from './sharp-ranges.js';
import { type Solved, solveModel } from './solved.js';
import { withProgram } from './with-program.js';

/** A program that is solved again and again with one of its numbers changed, and put back after each time. */
export interface Session {
  readonly program: MixProgram;
  readonly now: () => Solved;
  /** The ranges of the best mix that `now` has just found; null where that is degenerate. */
  readonly sharpRanges: (best: Solved) => SharpRanges | null;
  /** How long the solver has worked in it. */
  readonly seconds: () => number;
  /** With another limit in place of one; null for none. */
  readonly withLimit: (bound: Bound, limit: number | null) => Solved;
  /** With something else that a unit of a product adds to the goal, by its column. */
  readonly withGain: (column: number, gain: number) => Solved;
  /** The least or the most that something can be without its limit, whatever the goal; null where nothing fits, or where it has no end. */
  readonly extremeOf: (bound: Bound, end: 'least' | 'most') => number | null;
  /** The least and the most that there can be of some columns while the goal stays what it is. */
  readonly rangesAt: (goal: number, columns: readonly number[]) => (readonly [least: number, most: number])[];
}

/** A limit of a program that is moved: of a row or a column, on one side or on both. Limits are in the units of the program. */
export interface Bound {
  readonly of: 'row' | 'column';
  readonly index: number;
  readonly side: 'lower' | 'upper' | 'both';
}

/** For how long each solve of a session may go on, where it is continuous: never reached by what a person types. */
export const SECONDS_EACH = 5;

/** What of the goal may be lost to noise where it is held. */
const HELD = 1e-10;

/** Opens a session on a model, for as long as `work` runs. */
export function inSession<Result>(
  highs: Highs,
  model: MixModel,
  seconds: number,
  work: (session: Session) => Result,
): Result {
  const program = mixProgram(model);
  return withProgram(highs, program, { mip_rel_gap: model.gapPercent / 100 }, (solver) =>
    work(sessionOf({ highs, solver, program, seconds })),
  );
}

/** The solver with the program that it holds. */
interface Held {
  readonly highs: Highs;
  readonly solver: Model;
  readonly program: MixProgram;
  readonly seconds: number;
}

function sessionOf(held: Held): Session {
  const { solver, program } = held;
  return {
    program,
    now: () => solve(held),
    sharpRanges: (best) => sharpRanges(held.highs, solver, program, best),
    seconds: () => solver.getRunTime(),
    withLimit: (bound, limit) => bounded(held, bound, limit, () => solve(held)),
    withGain(column, gain) {
      const { cost, step } = program.columns[column] as ProgramColumn;
      solver.changeColCost(column, (gain * step) / program.worth);
      const solved = solve(held);
      solver.changeColCost(column, cost);
      return solved;
    },
    extremeOf: (bound, end) => extremeOf(held, bound, end),
    rangesAt: (goal, columns) => rangesAt(held, goal, columns),
  };
}

function solve({ highs, solver, program, seconds }: Held): Solved {
  // The limit counts from the first solve of a model on.
  solver.options.set('time_limit', solver.getRunTime() + seconds);
  return solveModel(highs, solver, program);
}

/** Does something with another limit in place of one, and puts that back. */
function bounded<Result>({ solver, program }: Held, bound: Bound, limit: number | null, work: () => Result): Result {
  const { of, index, side } = bound;
  const { lower, upper } = (of === 'row' ? program.rows[index] : program.columns[index]) as ProgramRow;
  const change = (least: number, most: number) =>
    of === 'row' ? solver.changeRowBounds(index, least, most) : solver.changeColBounds(index, least, most);
  // Nothing is made of a product below zero.
  const lowest = of === 'column' ? 0 : Number.NEGATIVE_INFINITY;
  change(side === 'upper' ? lower : (limit ?? lowest), side === 'lower' ? upper : (limit ?? Number.POSITIVE_INFINITY));
  const result = work();
  change(lower, upper);
  return result;
}

/** The goal of the program again, after something else was looked for. */
function putBack({ highs, solver, program }: Held): void {
  const { minimize, maximize } = highs.constants.objectiveSense;
  solver.changeObjectiveSense(program.model.isLeast ? minimize : maximize);
  program.columns.forEach(({ cost }, index) => solver.changeColCost(index, cost));
  solver.changeObjectiveOffset(program.offset);
}

function extremeOf(held: Held, bound: Bound, end: 'least' | 'most'): number | null {
  const { highs, solver, program } = held;
  const { minimize, maximize } = highs.constants.objectiveSense;
  program.columns.forEach((_column, index) => solver.changeColCost(index, 0));
  if (bound.of === 'column') solver.changeColCost(bound.index, 1);
  else {
    const { columns, values } = program.rows[bound.index] as ProgramRow;
    columns.forEach((column, index) => solver.changeColCost(column, values[index] ?? 0));
  }
  solver.changeObjectiveSense(end === 'least' ? minimize : maximize);
  solver.changeObjectiveOffset(0);
  const { status, goal } = bounded(held, bound, null, () => solve(held));
  putBack(held);
  return status === 'best' ? goal / program.worth : null;
}

function rangesAt(held: Held, goal: number, columns: readonly number[]): (readonly [number, number])[] {
  const { highs, solver, program } = held;
  const { minimize, maximize } = highs.constants.objectiveSense;
  holdGoal(held, goal);
  program.columns.forEach((_column, index) => solver.changeColCost(index, 0));
  const ranges = columns.map((column) => {
    solver.changeColCost(column, 1);
    const [least = Number.NaN, most = Number.NaN] = [minimize, maximize].map((sense) => {
      solver.changeObjectiveSense(sense);
      const { status, values } = solve(held);
      return status === 'best' ? (values[column] ?? 0) : Number.NaN;
    });
    solver.changeColCost(column, 0);
    const step = program.columns[column]?.step ?? 1;
    return [least * step, most * step] as const;
  });
  solver.deleteRows({ kind: 'range', from: program.rows.length, to: program.rows.length });
  putBack(held);
  return ranges;
}

/** A further row: the goal stays what it is, as if it were something of which so much must be reached. */
function holdGoal({ solver, program }: Held, goal: number): void {
  const costs = program.columns.flatMap(({ cost }, index) => (cost === 0 ? [] : [{ cost, index }]));
  const largest = costs.reduce((so, { cost }) => Math.max(so, Math.abs(cost)), 1e-300);
  const held = (goal / program.worth - program.offset) / largest;
  const slack = HELD * Math.max(1, Math.abs(held));
  const { isLeast } = program.model;
  solver.addRow(isLeast ? Number.NEGATIVE_INFINITY : held - slack, isLeast ? held + slack : Number.POSITIVE_INFINITY, {
    indices: costs.map(({ index }) => index),
    values: costs.map(({ cost }) => cost / largest),
  });
}
