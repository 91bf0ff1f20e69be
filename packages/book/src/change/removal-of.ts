import { referrersTo, type Kind } from '../kinds.js';
import type { RemoveOperation } from './change.js';
import type { BookReader } from './stored-row.js';

/**
 * The operations that remove a row with all that belongs to it (the prices of a material, the lines of a product),
 * what belongs to it first. Rows that merely use it stay, and the rules then refuse the removal by name.
 */
export function removalOf(book: BookReader, kind: Kind, id: string): RemoveOperation[] {
  const row = book.row(kind, id);
  if (row === undefined) return [];
  const belongings = referrersTo(kind)
    .filter((referrer) => referrer.goesWithTarget)
    .flatMap((referrer) =>
      book.rowsWith(referrer.kind, referrer.field, id).flatMap((each) => removalOf(book, referrer.kind, each.id)),
    );
  return [...belongings, { action: 'remove', kind, id, version: row.version }];
}
