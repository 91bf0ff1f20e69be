import { referrersTo, type Kind } from '../kinds.js';
import type { RemoveOperation } from './change.js';
import type { BookReader } from './stored-row.js';

/**
 * The operations that remove a row with all that belongs to it (the prices of a material, the lines of a product),
 * what belongs to it first, and once where it belongs to it in two ways. Rows that merely use it stay, and the rules then
 * refuse the removal by name.
 */
export function removalOf(book: BookReader, kind: Kind, id: string): RemoveOperation[] {
  const removals = new Map<string, RemoveOperation>();
  remove(book, kind, id, removals);
  return [...removals.values()];
}

function remove(book: BookReader, kind: Kind, id: string, removals: Map<string, RemoveOperation>): void {
  const row = book.row(kind, id);
  if (row === undefined || removals.has(id)) return;
  for (const referrer of referrersTo(kind).filter(({ goesWithTarget }) => goesWithTarget))
    for (const each of book.rowsWith(referrer.kind, referrer.field, id)) remove(book, referrer.kind, each.id, removals);
  removals.set(id, { action: 'remove', kind, id, version: row.version });
}
