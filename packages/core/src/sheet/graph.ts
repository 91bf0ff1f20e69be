import { type Figure, isFigure, type PublishedOf, sameValue } from '../figure/index.js';
import { CoreError } from '../number/index.js';
import { addDependent, type Cell, hasDependent, markDependentsStale, removeDependent } from './cell.js';
import { type OpenMemory, rememberingOperations, type RememberingOperations } from './memory.js';

/**
 * The results of a book and of all forks of it, with what each was made of. What is read while a cell is worked out, that
 * cell depends on. After a change only what depends on it is looked at, and a result that comes out the same stops there.
 */
export interface Graph {
  /** What is being worked out just now, innermost last. */
  readonly readers: Cell[];
  readonly operations: RememberingOperations;
  /** Brings a cell up to date. */
  refresh(cell: Cell): void;
  /** Notes that the innermost reader depends on a cell. */
  dependOn(cell: Cell): void;
  /** Says that time has gone on: something is about to be touched. */
  advance(): void;
  /** Says that the source of a cell has become another. */
  touch(cell: Cell): void;
}

/** A graph of nothing yet. */
export function newGraph(): Graph {
  const readers: Cell[] = [];
  const open: OpenMemory = { current: null };
  let moment = 1;

  const refresh = (cell: Cell): void => {
    if (!cell.stale || cell.calculation === null) return;
    if (cell.checkedAt === 0 || hasChangedBelow(cell)) workOut(cell);
    cell.stale = false;
    cell.checkedAt = moment;
  };
  const hasChangedBelow = (cell: Cell): boolean => {
    for (const each of cell.dependencies) {
      refresh(each);
      if (each.changedAt > cell.checkedAt) return true;
    }
    return false;
  };
  const workOut = (cell: Cell) => {
    const { calculation } = cell;
    if (calculation === null) return;
    if (cell.working) throw new CoreError('unknown-figure', `${calculation.name}/${cell.id} depends on itself.`);
    const outer = open.current;
    cell.readAgain = 0;
    cell.working = true;
    if (cell.memory !== null) cell.memory.next = 0;
    readers.push(cell);
    open.current = cell;
    try {
      const value = calculation.work(cell.sheet, cell.id);
      if (cell.checkedAt > 0 && sameValue(cell.value, value)) return;
      cell.value = publish(cell, value);
      cell.changedAt = moment;
    } finally {
      readers.pop();
      open.current = outer;
      cell.working = false;
      forgetFrom(cell, cell.readAgain);
      // An array that has grown has room for more: there are many cells, and most read two or three others.
      if (cell.checkedAt === 0) cell.dependencies = cell.dependencies.slice();
    }
  };
  return {
    readers,
    operations: rememberingOperations(open),
    refresh,
    dependOn(cell) {
      const reader = readers.at(-1);
      if (reader !== undefined) noteRead(reader, cell);
    },
    advance: () => {
      moment += 1;
    },
    touch(cell) {
      cell.changedAt = moment;
      cell.value = undefined;
      markDependentsStale(cell);
    },
  };
}

/** Notes that a reader depends on a cell. Mostly the same is read in the same order as last time: then there is nothing to do. */
function noteRead(reader: Cell, cell: Cell): void {
  if (reader.dependencies[reader.readAgain] === cell) {
    reader.readAgain += 1;
    return;
  }
  if (reader.checkedAt > 0) {
    if (isKnown(cell, reader)) return;
    forgetFrom(reader, reader.readAgain);
  }
  if (!addDependent(cell, reader)) return;
  reader.dependencies.push(cell);
  reader.readAgain += 1;
}

/** True where the reader has read the cell already in this round. */
function isKnown(cell: Cell, reader: Cell): boolean {
  return hasDependent(cell, reader) && reader.dependencies.lastIndexOf(cell, reader.readAgain - 1) >= 0;
}

/** Drops the dependencies of last time from a place on: they were not read again so far. */
export function forgetFrom(reader: Cell, place: number): void {
  if (reader.dependencies.length <= place) return;
  const dropped = reader.dependencies.splice(place);
  for (const each of dropped) removeDependent(each, reader);
}

/** Gives the figures of a result their origin. A figure that was passed on has one already, and keeps it. */
function publish(cell: Cell, result: unknown): unknown {
  if (typeof result !== 'object' || result === null || Array.isArray(result) || isFigure(result)) return result;
  const members = result as Record<string, unknown>;
  for (const member in members) {
    const figure = members[member];
    if (isFigure(figure) && figure.publishedOf === null) nameOrigin(figure, cell, member);
  }
  return result;
}

/** The one moment at which a figure is written to: when it becomes a result, before anyone has read it. */
function nameOrigin(figure: Figure, publishedOf: PublishedOf, member: string): void {
  const written = figure as { publishedOf: PublishedOf | null; member: string };
  written.publishedOf = publishedOf;
  written.member = member;
}
