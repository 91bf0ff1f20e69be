import type { BaselineToKeep } from '../book/frozen-rows.js';
import type { DocumentFormat, DocumentName } from '../documents/requests.js';

/** A change or a book file of many rows: read, held against the rules and stored. `nothing` makes a thread ready for them. */
export type StoringJob =
  | { readonly job: 'nothing' }
  | { readonly job: 'change'; readonly bookId: string; readonly userId: string; readonly body: Uint8Array }
  | { readonly job: 'book file'; readonly userId: string; readonly body: Uint8Array };

/** Something that is worked out of all rows of a book: its figures, its book file, or a document. */
export type ReadingJob =
  | FiguresJob
  | DocumentJob
  | FreezingJob
  | { readonly job: 'baseline'; readonly bookId: string; readonly id: string }
  | { readonly job: 'book file'; readonly bookId: string };

/** Keeps a book as a baseline. */
export interface FreezingJob extends BaselineToKeep {
  readonly job: 'freeze';
}

/** A document of a book as of a day, kept under the id of its job when it is made. */
export interface DocumentJob {
  readonly job: 'document';
  readonly bookId: string;
  readonly day: string;
  readonly document: DocumentName;
  readonly of: string;
  readonly format: DocumentFormat;
  /** The name of the person who makes it. */
  readonly by: string;
  readonly id: string;
}

/** Figures of a book as of a day: the report where no view is named. */
export interface FiguresJob {
  readonly job: 'figures';
  readonly bookId: string;
  readonly day: string;
  readonly view: string | null;
  readonly of: string;
}
