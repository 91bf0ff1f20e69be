import { type Kind, labelOfKind } from '../../kinds.js';
import type { Problem } from '../../problem/index.js';
import { type BookReader, fieldValue, type StoredRow } from '../stored-row.js';

/** A row as a change leaves it, for the rules that reach beyond its class. */
export interface WrittenRow<K extends Kind = Kind> {
  readonly kind: K;
  readonly before: StoredRow<K> | null;
  readonly after: StoredRow<K>;
  /** True for a field that the change sets to another value; for every field of a row that it makes. */
  changes(field: string): boolean;
}

/**
 * A rule that reaches beyond the class of a row. It is held only against a change that touches what it reads, so that a
 * row of an older book that breaks it can still be edited elsewhere.
 */
export interface RowRule<K extends Kind = Kind> {
  /** The kinds of row that it is about; null for all. */
  readonly kinds: readonly K[] | null;
  /** The fields that it reads of the row; null where it looks at them one by one itself. */
  readonly reads: readonly string[] | null;
  /** The format of book files from which on it holds: what was written before may break it. */
  readonly since: number;
  problems(book: BookReader, row: WrittenRow<K>): Problem[];
}

/** How a row is called in a sentence: by its name where it has one, else by its kind. */
export function rowLabel(kind: Kind, row: object): string {
  const name = fieldValue(row, 'name');
  return typeof name === 'string' && name !== '' ? name : `this ${labelOfKind(kind)}`;
}
