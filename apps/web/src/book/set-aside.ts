import type { SetAside } from '../state/book-slice.js';
import { keptOnMachine } from './kept-on-machine.js';

/** Edits that were set aside. */
export const asideOf = keptOnMachine<SetAside>('nuvar-set-aside', 'edits', ({ change }) => change.id);

/** The edits as a file that a person keeps, or sends to whoever looks after the server. */
export function setAsideFile(book: string, edits: readonly SetAside[]): string {
  return JSON.stringify({ format: 'nuvar-set-aside', version: 1, book, edits }, null, 2);
}
