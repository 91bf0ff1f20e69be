import { fieldsOf, KIND_NAMES, type Kind, type StoredRow } from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { columnName, tableName } from '../database/tables.js';

/** The columns of a kind under their field names, with days and amounts as the text that rows hold. */
function selection(kind: Kind): string {
  const fields = fieldsOf(kind).map(
    ({ name, type }) => `${columnName(name)}${type === 'day' ? '::text' : ''} AS "${name}"`,
  );
  return ['id', 'version', ...fields].join(', ');
}

/** The rows of a kind in a book whose column has one of the values; names are compared without regard to capitals. */
export async function rowsWhere(
  manager: EntityManager,
  bookId: string,
  kind: Kind,
  field: string,
  values: readonly string[],
): Promise<StoredRow[]> {
  if (values.length === 0) return [];
  const column = field === 'name' ? `lower(${columnName(field)})` : columnName(field);
  const wanted = field === 'name' ? values.map((value) => value.toLowerCase()) : values;
  return manager.query(
    `SELECT ${selection(kind)} FROM ${tableName(kind)} WHERE book_id = $1 AND ${column} = ANY($2::${field === 'name' ? 'text' : 'uuid'}[])`,
    [bookId, wanted],
  );
}

/** The bill lines of a book that point to a component, whatever product they are in. */
export async function componentLines(manager: EntityManager, bookId: string): Promise<StoredRow<'billLine'>[]> {
  return manager.query(
    `SELECT ${selection('billLine')} FROM ${tableName('billLine')} WHERE book_id = $1 AND component_id IS NOT NULL`,
    [bookId],
  );
}

/** Every row of a book by kind. */
export async function allRows(manager: EntityManager, bookId: string): Promise<Record<Kind, StoredRow[]>> {
  const rows: Partial<Record<Kind, StoredRow[]>> = {};
  for (const kind of KIND_NAMES) {
    rows[kind] = await manager.query(
      `SELECT ${selection(kind)} FROM ${tableName(kind)} WHERE book_id = $1 ORDER BY id`,
      [bookId],
    );
  }
  return rows as Record<Kind, StoredRow[]>;
}
