import type { Kind } from '../kinds.js';

type FieldValues = Readonly<Record<string, unknown>>;

/** Adds a row. Fields that are left out get the defaults of their class. */
export interface CreateOperation {
  readonly action: 'create';
  readonly kind: Kind;
  readonly row: FieldValues & { readonly id: string };
}

/** Changes fields of a row. `before` holds the values that these fields had for the person who changed them. */
export interface UpdateOperation {
  readonly action: 'update';
  readonly kind: Kind;
  readonly id: string;
  readonly before: FieldValues;
  readonly after: FieldValues;
}

/** Takes a row away, in the version in which the person saw it. */
export interface RemoveOperation {
  readonly action: 'remove';
  readonly kind: Kind;
  readonly id: string;
  readonly version: number;
}

export type Operation = CreateOperation | UpdateOperation | RemoveOperation;

/** One edit of a book: an ordered list of operations that is applied whole or not at all. */
export interface Change {
  /** Made where the change is made. Sent twice, a change is applied once and gives the first answer. */
  readonly id: string;
  readonly operations: readonly Operation[];
  /** The change that this one takes back, where it is an undo or a redo. */
  readonly undoes?: string;
}

/** The most operations that one change may hold. */
export const MOST_OPERATIONS = 20_000;
