import type { Kind, RowOf } from '@nuvar/book';
import type { Figure, Gap, Place } from '../figure/index.js';
import type { Unit } from '../quantity/index.js';
import type { RememberingOperations } from './memory.js';

/** What a calculation reads from. Whatever it reads, it depends on, and is worked out again when that changes. */
export interface Sheet extends RememberingOperations {
  /** The day as of which everything is worked out, "2026-03-31". */
  readonly asOf: string;
  row<K extends Kind>(kind: K, id: string): RowOf<K> | undefined;
  /** The rows of a kind that point to a row, in the order of their position. */
  rowsOf<K extends Kind>(kind: K, field: string, id: string): readonly RowOf<K>[];
  /** The ids of the rows of a kind that point to a row, in the order of their position; what the rows say is not read. */
  idsOf(kind: Kind, field: string, id: string): readonly string[];
  /** All rows of a kind, in the order of their position, else in which they were made. */
  all<K extends Kind>(kind: K): readonly RowOf<K>[];
  settings(): RowOf<'settings'>;
  read<Result>(calculation: Calculation<Result>, id: string): Result;
  /** A field of a row as a figure. */
  input<K extends Kind>(kind: K, row: RowOf<K>, field: keyof RowOf<K> & string, leaf: InputLeaf): Figure;
}

/** How a field is called as a figure, and in which unit it is. */
export interface InputLeaf {
  readonly name: string;
  readonly subject?: string;
  readonly unit: Unit;
  /** What to say where the field, at this place, is empty. Fields that cannot be empty need none. */
  readonly whenEmpty?: (place: Place) => Gap;
}

/**
 * One calculation of the trade, worked out once for each id it is asked for. The figures among its results are
 * published under "name/id/result"; `meanings` says in a sentence what each of them is.
 */
export interface Calculation<Result> {
  readonly name: string;
  readonly meanings: Readonly<Record<string, string>>;
  work(sheet: Sheet, id: string): Result;
}

/** The id under which calculations over the whole book are worked out. */
export const WHOLE_BOOK = 'book';
