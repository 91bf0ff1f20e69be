import type { Highs, Model } from 'highs';
import type { MixProgram } from './program.js';
import type { Solved } from './solved.js';

/** From and to where something can move while the best mix keeps to the same limits; infinite where it has no end. */
export type Range = readonly [from: number, until: number];

/** The ranges of an optimum that stands at one corner alone, where its duals hold on both sides. Counted as the program counts. */
export interface SharpRanges {
  readonly ofCost: (column: number) => Range;
  readonly ofRow: (row: number) => Range;
}

const NEAR = 1e-7;

/**
 * The ranges that the solver tells of the optimum it has just found; null where that is degenerate: where a variable of the basis
 * stands at a limit of its own, or one outside costs nothing to move. Then duals and ranges of a single solve do not hold on both
 * sides, and each has to be solved again. Source: sensitivity of a non-degenerate optimum, e.g. Chvátal, Linear Programming (1983).
 */
export function sharpRanges(highs: Highs, solver: Model, program: MixProgram, best: Solved): SharpRanges | null {
  if (!isSharp(highs, solver, program, best)) return null;
  const ranging = rangingOf(solver);
  if (ranging === null) return null;
  const { colCostDown, colCostUp, rowBoundDown, rowBoundUp } = ranging;
  const rangeOf = (down: ArrayLike<number>, up: ArrayLike<number>) => (index: number) =>
    [down[index] ?? Number.NaN, up[index] ?? Number.NaN] as const;
  return {
    ofCost: rangeOf(colCostDown.value, colCostUp.value),
    ofRow: rangeOf(rowBoundDown.value, rowBoundUp.value),
  };
}

/** What the solver says of ranges; null where it says nothing, as of a program without limits. */
function rangingOf(solver: Model): ReturnType<Model['getRanging']> | null {
  try {
    return solver.getRanging();
  } catch {
    return null;
  }
}

function isSharp(highs: Highs, solver: Model, { columns, rows }: MixProgram, best: Solved): boolean {
  const { colStatus, rowStatus } = solver.getBasis();
  const { rowValue, colDual, rowDual } = solver.getSolution();
  const { basic } = highs.constants.basisStatus;
  const holds = (
    all: readonly { readonly lower: number; readonly upper: number }[],
    status: ArrayLike<number>,
    values: ArrayLike<number>,
    duals: ArrayLike<number>,
  ) =>
    all.every(({ lower, upper }, index) => {
      const value = values[index] ?? 0;
      if (status[index] !== basic) return lower === upper || Math.abs(duals[index] ?? 0) > NEAR;
      const near = NEAR * Math.max(1, Math.abs(value));
      return value - lower > near && upper - value > near;
    });
  return holds(columns, colStatus, best.values, colDual) && holds(rows, rowStatus, rowValue, rowDual);
}
