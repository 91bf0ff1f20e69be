import {
  fieldValue,
  STORED_KINDS,
  labelOfKind,
  nameKey,
  problem,
  type Kind,
  type Problem,
  type Write,
} from '@nuvar/book';
import { databaseError, type DatabaseError } from '../database/database-error.js';
import { tableName } from '../database/tables.js';

/**
 * What the database refuses of a change as problems with row, field and sentence, or null where it refused nothing of it.
 * The rules are held before, so this speaks only where a rule and a constraint do not say the same.
 */
export function refusalOfStorage(thrown: unknown, writes: readonly Write[]): Problem[] | null {
  const error = databaseError(thrown);
  // Class 22: a value that does not fit; class 23: a constraint. Whatever else is wrong is not wrong with the change.
  if (error === null || !/^(22|23|54)/.test(error.code)) return null;
  const kind = STORED_KINDS.find((each) => tableName(each) === error.table);
  if (kind === undefined) return [problem('not-storable', { values: { what: 'a row of this change' } })];
  return [known(error, kind, writes) ?? notStorable(kind, error, writes)];
}

function known({ code, constraint, detail = '' }: DatabaseError, kind: Kind, writes: readonly Write[]): Problem | null {
  const written = writes.filter((write) => write.kind === kind && write.after !== null);
  if (code === '23505' && constraint === `${tableName(kind)}_name`) {
    const row = written.find(({ after }) => detail.includes(`, ${nameKey(nameOf(after))})`))?.after;
    if (row === undefined || row === null) return null;
    return problem('name-taken', {
      kind,
      rowId: row.id,
      field: 'name',
      values: { kind: labelOfKind(kind), name: nameOf(row) },
    });
  }
  if (code === '23505' && constraint === 'row_price_point_channel') {
    const row = written.find(({ after }) => detail.includes(String(fieldValue(after as object, 'productId'))));
    return problem('price-exists', { kind, ...(row && { rowId: row.id }), field: 'channelId' });
  }
  return null;
}

const nameOf = (row: object | null) => (row === null ? '' : String(fieldValue(row, 'name')));

/** The row that the message of PostgreSQL names by its id, else the first of its kind. */
function notStorable(kind: Kind, { detail = '' }: DatabaseError, writes: readonly Write[]): Problem {
  const ofKind = writes.filter((write) => write.kind === kind);
  const row = ofKind.find(({ id }) => detail.includes(id)) ?? ofKind[0];
  return problem('not-storable', {
    kind,
    ...(row && { rowId: row.id }),
    values: { what: `this ${labelOfKind(kind)}` },
  });
}
