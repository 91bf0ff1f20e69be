import type { Calculation } from './calculation.js';

/**
 * A remembered result, or a source that results depend on (a row, or the set of rows that point to a row).
 * Moments are counted: `changedAt` is when the value last became another, `checkedAt` when it was last known to be right.
 */
export interface Cell {
  readonly key: string;
  /** Null for a source. */
  readonly calculation: Calculation<unknown> | null;
  readonly id: string;
  value: unknown;
  changedAt: number;
  checkedAt: number;
  /** True from the moment at which something below changed until it has been looked at. */
  stale: boolean;
  working: boolean;
  dependencies: Cell[];
  readonly dependents: Set<Cell>;
}

export function newCell(key: string, calculation: Calculation<unknown> | null, id: string): Cell {
  return {
    key,
    calculation,
    id,
    value: undefined,
    changedAt: 0,
    checkedAt: 0,
    stale: calculation !== null,
    working: false,
    dependencies: [],
    dependents: new Set(),
  };
}

/** Marks everything that depends on a cell, however far up, as to be looked at. */
export function markDependentsStale(cell: Cell): void {
  for (const dependent of cell.dependents) {
    if (dependent.stale) continue;
    dependent.stale = true;
    markDependentsStale(dependent);
  }
}
