import type { Highs, Model } from 'highs';
import type { MixModel } from '../mix-model.js';
import { mixProgram, type MixProgram, modelData, type ProgramRow } from './program.js';
import { type Solved, solveModel } from './solved.js';

/** A program that is solved again and again with one of its numbers changed, and put back after each time. */
export interface Session {
  readonly program: MixProgram;
  readonly now: () => Solved;
  /** With another limit of a row; null for none. */
  readonly withLimit: (row: number, limit: number | null) => Solved;
  /** With another cost of a column. */
  readonly withCost: (column: number, cost: number) => Solved;
  /** The least or the most that a row can be, whatever the goal; null where nothing fits, or where it has no end. */
  readonly extremeOf: (row: number, end: 'least' | 'most') => number | null;
  /** The least and the most that each of some columns can be while the goal stays what it is. */
  readonly rangesAt: (goal: number, columns: readonly number[]) => (readonly [least: number, most: number])[];
}

/** For how long each solve of a session may go on, where it is continuous: never reached by what a person types. */
export const SECONDS_EACH = 5;

/** What of the goal may be lost to noise where it is held. */
const HELD = 1e-9;

/** Opens a session on a model, for as long as `work` runs. */
export function inSession<Result>(
  highs: Highs,
  model: MixModel,
  seconds: number,
  work: (session: Session) => Result,
): Result {
  const program = mixProgram(model);
  return highs.withModel(modelData(highs, program), (solver) => {
    solver.options.set({ output_flag: false, mip_rel_gap: model.gapPercent / 100, mip_abs_gap: 1e-6 });
    return work(sessionOf({ highs, solver, program, seconds }));
  });
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
    withLimit(row, limit) {
      const { lower, upper } = rowOf(held, row);
      solver.changeRowBounds(row, ...boundsWith(rowOf(held, row), limit));
      const solved = solve(held);
      solver.changeRowBounds(row, lower, upper);
      return solved;
    },
    withCost(column, cost) {
      solver.changeColCost(column, cost);
      const solved = solve(held);
      solver.changeColCost(column, program.columns[column]?.cost ?? 0);
      return solved;
    },
    extremeOf: (row, end) => extremeOf(held, row, end),
    rangesAt: (goal, columns) => rangesAt(held, goal, columns),
  };
}

const rowOf = ({ program }: Held, row: number) => program.rows[row] as ProgramRow;

function solve({ highs, solver, program, seconds }: Held): Solved {
  // The limit counts from the first solve of a model on.
  solver.options.set('time_limit', solver.getRunTime() + seconds);
  return solveModel(highs, solver, program);
}

/** The bounds of a row with another limit in place of its own: on the side, or the sides, on which it has one. */
function boundsWith({ lower, upper, scale }: ProgramRow, limit: number | null): [lower: number, upper: number] {
  return [
    Number.isFinite(lower) && limit !== null ? limit / scale : Number.NEGATIVE_INFINITY,
    Number.isFinite(upper) && limit !== null ? limit / scale : Number.POSITIVE_INFINITY,
  ];
}

/** The goal of the program again, after something else was looked for. */
function putBack({ highs, solver, program }: Held): void {
  const { minimize, maximize } = highs.constants.objectiveSense;
  solver.changeObjectiveSense(program.model.isLeast ? minimize : maximize);
  program.columns.forEach(({ cost }, index) => solver.changeColCost(index, cost));
}

function extremeOf(held: Held, row: number, end: 'least' | 'most'): number | null {
  const { highs, solver, program } = held;
  const { columns, values, lower, upper, scale } = rowOf(held, row);
  const { minimize, maximize } = highs.constants.objectiveSense;
  program.columns.forEach((_column, index) => solver.changeColCost(index, 0));
  columns.forEach((column, index) => solver.changeColCost(column, values[index] ?? 0));
  solver.changeObjectiveSense(end === 'least' ? minimize : maximize);
  solver.changeRowBounds(row, Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY);
  const { status, goal } = solve(held);
  solver.changeRowBounds(row, lower, upper);
  putBack(held);
  return status === 'best' ? goal * scale : null;
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
    return [least, most] as const;
  });
  solver.deleteRows({ kind: 'range', from: program.rows.length, to: program.rows.length });
  putBack(held);
  return ranges;
}

/** A further row: the goal stays what it is, as if it were something of which so much must be reached. */
function holdGoal({ solver, program }: Held, goal: number): void {
  const costs = program.columns.flatMap(({ cost }, index) => (cost === 0 ? [] : [{ cost, index }]));
  const largest = costs.reduce((so, { cost }) => Math.max(so, Math.abs(cost)), 1e-300);
  const held = goal / largest;
  const slack = HELD * Math.max(1, Math.abs(held));
  const { isLeast } = program.model;
  solver.addRow(isLeast ? Number.NEGATIVE_INFINITY : held - slack, isLeast ? held + slack : Number.POSITIVE_INFINITY, {
    indices: costs.map(({ index }) => index),
    values: costs.map(({ cost }) => cost / largest),
  });
}
