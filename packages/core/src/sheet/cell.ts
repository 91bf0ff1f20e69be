import type { Kind } from '@nuvar/book';
import type { Calculation, Sheet } from './calculation.js';
import type { Memory } from './memory.js';

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
  /** The sheet on which it is worked out: that of the book, or of a fork of it. */
  readonly sheet: Sheet;
  /** The next cell under the same id. */
  next: Cell | null;
  value: unknown;
  changedAt: number;
  checkedAt: number;
  /** True from the moment at which something below changed until it has been looked at. */
  stale: boolean;
  working: boolean;
  /** True once its fork has let go of it. */
  dropped: boolean;
  dependencies: Cell[];
  /** What it remembers of its operations; null where it asks for none that remember. */
  memory: Memory | null;
  /** While it is worked out: how many of its dependencies of last time have been read again, in the same order. */
  readAgain: number;
  /** On most cells one other depends, or few; there are many cells, and a set for each would weigh more than they do. */
  dependents: Cell | Cell[] | Set<Cell> | null;
}

/** Looking through so many takes no longer than asking a set. */
const FEW = 64;

/** A cell that has not been worked out yet, or a source that has not been read. */
export function newCell(of: Cell['of'], id: string, sheet: Sheet): Cell {
  const calculation = 'work' in of ? of : null;
  return {
    of,
    id,
    calculation,
    sheet,
    next: null,
    value: undefined,
    changedAt: 0,
    checkedAt: 0,
    stale: calculation !== null,
    working: false,
    dropped: false,
    readAgain: 0,
    dependencies: [],
    memory: null,
    dependents: null,
  };
}

/** True where the reader depends on the cell. */
export function hasDependent({ dependents }: Cell, reader: Cell): boolean {
  if (dependents instanceof Set) return dependents.has(reader);
  return Array.isArray(dependents) ? dependents.includes(reader) : dependents === reader;
}

/** Returns false where the reader is known to depend on the cell already. */
export function addDependent(cell: Cell, reader: Cell): boolean {
  const { dependents } = cell;
  if (dependents === null) {
    cell.dependents = reader;
    return true;
  }
  if (hasDependent(cell, reader)) return false;
  if (dependents instanceof Set) dependents.add(reader);
  else if (!Array.isArray(dependents)) cell.dependents = [dependents, reader];
  else if (dependents.length < FEW) dependents.push(reader);
  else cell.dependents = new Set(dependents).add(reader);
  return true;
}

/** The reader no longer depends on the cell. */
export function removeDependent(cell: Cell, reader: Cell): void {
  const { dependents } = cell;
  if (dependents === reader) cell.dependents = null;
  else if (dependents instanceof Set) dependents.delete(reader);
  else if (Array.isArray(dependents)) cell.dependents = dependents.filter((each) => each !== reader);
}

/** Marks everything that depends on a cell, however far up, as to be looked at. */
export function markDependentsStale({ dependents }: Cell): void {
  if (dependents instanceof Set || Array.isArray(dependents)) dependents.forEach(markStale);
  else if (dependents !== null) markStale(dependents);
}

function markStale(cell: Cell): void {
  if (cell.stale) return;
  cell.stale = true;
  markDependentsStale(cell);
}
