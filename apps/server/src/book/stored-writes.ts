import { fieldValue, nameKey, storedFields, type Kind, type StoredRow, type Write } from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { COLUMN_TYPES, columnName, hasNameKey, NAME_KEY, tableName } from '../database/tables.js';

/** Rows that go into one statement: enough to be quick, few enough that their text stays small. */
const ROWS_AT_ONCE = 5_000;

interface Column {
  readonly name: string;
  readonly type: string;
}

/** Names of a new book of which another row bears the same: the key of the later row ends in its id. */
export type NameKeys = ReadonlyMap<StoredRow, string>;

/**
 * Carries writes out, a few statements for each kind of row: what goes, what is made, what becomes another. Keys of names
 * and references are held at the end of the transaction, so that the order does not matter. `keys` gives the keys of
 * names that are not the plain ones.
 */
export async function storeWrites(
  manager: EntityManager,
  bookId: string,
  writes: readonly Write[],
  keys: NameKeys = new Map(),
): Promise<void> {
  // While the database takes in some rows, the text of the next ones is made.
  let taking: Promise<unknown> = Promise.resolve();
  const take = async (sql: string, rows: string | readonly string[]) => {
    await taking;
    taking = manager.query(sql, [bookId, rows]);
    // A failure is told where it is waited for.
    taking.catch(() => undefined);
  };
  for (const [kind, ofKind] of byKind(writes)) {
    const removed = ofKind.filter(({ after }) => after === null).map(({ id }) => id);
    const made = ofKind.filter(({ before, after }) => before === null && after !== null);
    const changed = ofKind.filter(({ before, after }) => before !== null && after !== null);
    if (removed.length > 0)
      await take(`DELETE FROM ${tableName(kind)} WHERE book_id = $1 AND id = ANY($2::uuid[])`, removed);
    for (const rows of portions(rowsAfter(made))) await take(insertion(kind), recordsOf(kind, rows, keys));
    for (const rows of portions(rowsAfter(changed))) await take(update(kind), recordsOf(kind, rows, keys));
  }
  await taking;
}

function byKind(writes: readonly Write[]): Map<Kind, Write[]> {
  const kinds = new Map<Kind, Write[]>();
  for (const write of writes) {
    const known = kinds.get(write.kind);
    if (known === undefined) kinds.set(write.kind, [write]);
    else known.push(write);
  }
  return kinds;
}

const rowsAfter = (writes: readonly Write[]) => writes.map(({ after }) => after as StoredRow);

function* portions<Each>(all: readonly Each[]): Generator<readonly Each[]> {
  for (let start = 0; start < all.length; start += ROWS_AT_ONCE) yield all.slice(start, start + ROWS_AT_ONCE);
}

/** The columns of a kind that a statement fills, the id first. */
function columnsOf(kind: Kind): readonly Column[] {
  const columns = storedFields(kind).map(({ name, type }) => ({
    name: columnName(name),
    type: String(COLUMN_TYPES[type]),
  }));
  return hasNameKey(kind) ? [...columns, { name: NAME_KEY, type: 'text' }] : columns;
}

/** The rows as one JSON text, which PostgreSQL takes apart by the types of the columns. */
function recordsOf(kind: Kind, rows: readonly StoredRow[], keys: NameKeys): string {
  const fields = storedFields(kind).map(({ name }) => ({ name, column: columnName(name) }));
  const records = rows.map((row) => {
    const record: Record<string, unknown> = {};
    for (const { name, column } of fields) record[column] = fieldValue(row, name);
    if (hasNameKey(kind)) record[NAME_KEY] = keys.get(row) ?? nameKey(fieldValue(row, 'name') as string);
    return record;
  });
  return JSON.stringify(records);
}

const given = (columns: readonly Column[]) =>
  `json_to_recordset($2::json) AS given (${columns.map(({ name, type }) => `${name} ${type}`).join(', ')})`;

function insertion(kind: Kind): string {
  const columns = columnsOf(kind);
  const names = columns.map(({ name }) => name).join(', ');
  return `INSERT INTO ${tableName(kind)} (book_id, ${names}) SELECT $1::uuid, ${names} FROM ${given(columns)}`;
}

/** A name that stays keeps its key: that of a row of an older book may not be the plain one. */
function update(kind: Kind): string {
  const columns = columnsOf(kind);
  const assignments = columns
    .filter(({ name }) => name !== 'id')
    .map(({ name }) =>
      name === NAME_KEY
        ? `${name} = CASE WHEN stored.name = given.name THEN stored.${name} ELSE given.${name} END`
        : `${name} = given.${name}`,
    );
  return `UPDATE ${tableName(kind)} AS stored SET ${assignments.join(', ')} FROM ${given(columns)}
    WHERE stored.book_id = $1 AND stored.id = given.id`;
}

/** The keys of rows of a new book that are not the plain ones, because another row of their kind bears the same name. */
export function keysOfNamesakes(writes: readonly Write[]): NameKeys {
  const keys = new Map<StoredRow, string>();
  for (const [kind, ofKind] of byKind(writes)) {
    if (!hasNameKey(kind)) continue;
    const taken = new Set<string>();
    for (const row of rowsAfter(ofKind)) {
      const key = nameKey(fieldValue(row, 'name') as string);
      if (taken.has(key)) keys.set(row, `${key} ${row.id}`);
      taken.add(key);
    }
  }
  return keys;
}
