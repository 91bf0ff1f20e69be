import { fieldsOf, type Kind, labelOfKind, referrersTo } from '../../kinds.js';
import { problem, type Problem } from '../../problem/index.js';
import { type BookReader, fieldValue, type StoredRow } from '../stored-row.js';
import { rowLabel, type RowRule } from './rule.js';

/** What a row points to is in the book. */
export const referencesLead: RowRule = {
  kinds: null,
  reads: null,
  since: 1,
  problems: (book, { kind, after, changes }) =>
    fieldsOf(kind)
      .filter(({ name, target }) => target !== undefined && changes(name))
      .filter(({ name, target }) => {
        const id = fieldValue(after, name);
        return typeof id === 'string' && book.row(target as Kind, id) === undefined;
      })
      .map(({ name, label, target }) =>
        problem('unknown-reference', {
          kind,
          rowId: after.id,
          field: name,
          values: { label, target: labelOfKind(target as Kind) },
        }),
      ),
};

/** The same one, in whatever order rows were found. */
export const firstById = (rows: readonly StoredRow[]): StoredRow | undefined =>
  rows.reduce<StoredRow | undefined>((so, row) => (so === undefined || row.id < so.id ? row : so), undefined);

/** A row that something points to stays; the problem names one user of it. */
export function stillUsed(book: BookReader, kind: Kind, removed: StoredRow): Problem[] {
  for (const referrer of referrersTo(kind)) {
    const user = firstById(book.rowsWith(referrer.kind, referrer.field, removed.id));
    if (user !== undefined) return [usedIn(book, kind, removed, referrer.kind, user)];
  }
  return [];
}

/** Says where a row is still used: by the product that the user of it belongs to, else by the user itself. */
export function usedIn(book: BookReader, kind: Kind, removed: StoredRow, userKind: Kind, user: object): Problem {
  const ownerId = fieldValue(user, 'productId');
  const owner = typeof ownerId === 'string' ? book.row('product', ownerId) : undefined;
  const label = owner ? rowLabel('product', owner) : rowLabel(userKind, user);
  return problem('still-used', { kind, rowId: removed.id, values: { name: rowLabel(kind, removed), user: label } });
}
