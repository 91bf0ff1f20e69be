import type { Kind } from '@nuvar/book';
import type { Calculation } from './calculation.js';

/** What results read of a book: rows of a kind, as they are told apart by a field. */
export interface Source {
  readonly kind: Kind;
  readonly field: string;
}

/**
 * A remembered result, or a source that results depend on. Moments are counted: `changedAt` is when the value last
 * became another, `checkedAt` when it was last known to be right.
 */
export interface Cell {
  readonly of: Calculation<unknown> | Source;
  readonly id: string;
  /** Null for a source. */
  readonly calculation: Calculation<unknown> | null;
  /** The next cell under the same id. */
  next: Cell | null;
  value: unknown;
  changedAt: number;
  checkedAt: number;
  /** True from the moment at which something below changed until it has been looked at. */
  stale: boolean;
  working: boolean;
  dependencies: Cell[];
  /** While it is worked out: how many of its dependencies of last time have been read again, in the same order. */
  readAgain: number;
  /** On most cells one other depends, or none; there are many cells, and a set for each would weigh more than they do. */
  dependents: Cell | Set<Cell> | null;
}

export function newCell(of: Cell['of'], id: string): Cell {
  const calculation = 'work' in of ? of : null;
  return {
    of,
    id,
    calculation,
    next: null,
    value: undefined,
    changedAt: 0,
    checkedAt: 0,
    stale: calculation !== null,
    working: false,
    readAgain: 0,
    dependencies: [],
    dependents: null,
  };
}

export function hasDependent(cell: Cell, reader: Cell): boolean {
  return cell.dependents === reader || (cell.dependents instanceof Set && cell.dependents.has(reader));
}

/** Returns false where the reader is known to depend on the cell already. */
export function addDependent(cell: Cell, reader: Cell): boolean {
  const { dependents } = cell;
  if (dependents === reader) return false;
  if (dependents === null) {
    cell.dependents = reader;
    return true;
  }
  if (!(dependents instanceof Set)) {
    cell.dependents = new Set([dependents, reader]);
    return true;
  }
  const { size } = dependents;
  return dependents.add(reader).size > size;
}

export function removeDependent(cell: Cell, reader: Cell): void {
  if (cell.dependents === reader) cell.dependents = null;
  else if (cell.dependents instanceof Set) cell.dependents.delete(reader);
}

/** Marks everything that depends on a cell, however far up, as to be looked at. */
export function markDependentsStale(cell: Cell): void {
  if (cell.dependents instanceof Set) cell.dependents.forEach(markStale);
  else if (cell.dependents !== null) markStale(cell.dependents);
}

function markStale(cell: Cell): void {
  if (cell.stale) return;
  cell.stale = true;
  markDependentsStale(cell);
}
