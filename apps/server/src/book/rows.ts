import {
  comparesExactly,
  fieldsOf,
  isLedger,
  ledgerKind,
  storedFields,
  type Kind,
  STORED_KINDS,
  type StoredField,
  type StoredRow,
} from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { columnName, hasNameKey, NAME_KEY, tableName } from '../database/tables.js';

/** Days and amounts are read as the text that rows hold. */
const asText = (type: string) => (type === 'day' || type === 'decimal' ? '::text' : '');

/** The columns of a kind under their field names. */
export function selection(kind: Kind): string {
  return storedFields(kind)
    .map(({ name, type }) => `${columnName(name)}${asText(type)} AS "${name}"`)
    .join(', ');
}

/** What is asked of the rows of a kind: values by field; a row that has any of them is one of those asked for. */
export type Asked = ReadonlyMap<string, ReadonlySet<string>>;

/**
 * The rows of a kind in a book that are asked for, in one statement: by ids, units and the like as they are, by names as
 * `nameKey` compares them. Other texts are asked for by no rule, and have no index.
 */
export async function rowsAsked(
  manager: EntityManager,
  bookId: string,
  kind: Kind,
  asked: Asked,
): Promise<StoredRow[]> {
  const fields = [...asked].filter(([, values]) => values.size > 0);
  if (fields.length === 0) return [];
  const conditions = fields.map(([field], index) => {
    const isId = field === 'id' || fieldsOf(kind).some(({ name, type }) => name === field && type === 'reference');
    if (!isId && !comparesExactly(kind, field) && !(field === 'name' && hasNameKey(kind)))
      throw new RangeError(`Rows of the kind ${kind} are not found by their ${field}.`);
    return `${field === 'name' ? NAME_KEY : columnName(field)} = ANY($${index + 2}::${isId ? 'uuid' : 'text'}[])`;
  });
  const sql = `SELECT ${selection(kind)} FROM ${tableName(kind)} WHERE book_id = $1 AND (${conditions.join(' OR ')})`;
  return manager.query(sql, [bookId, ...fields.map(([, values]) => [...values])]);
}

/** Text that stands in JSON as it is; what holds anything else is escaped by PostgreSQL, which takes longer. */
const PLAIN = "'^[A-Za-z0-9 .,()%/-]*$'";

/** A column of which every value is a text in JSON that needs no escaping: it can stand between quotes as it is. */
const isBare = ({ type, nullable }: StoredField) => !nullable && !['text', 'unit', 'integer', 'flag'].includes(type);

/** A column as JSON, put together as text: half the time of building JSON values and writing them out. */
function jsonOf({ name, type, nullable }: StoredField): string {
  const column = columnName(name);
  if (type === 'integer' || type === 'flag') return nullable ? `coalesce(${column}::text, 'null')` : `${column}::text`;
  if (type !== 'text' && type !== 'unit') return `coalesce('"' || ${column} || '"', 'null')`;
  const escaped = `CASE WHEN ${column} = '' THEN '""' WHEN ${column} ~ ${PLAIN} THEN '"' || ${column} || '"' ELSE to_json(${column})::text END`;
  return nullable ? `coalesce(${escaped}, 'null')` : escaped;
}

/** The columns of a kind in the order in which they are written: those first that are bare, so that they share their quotes. */
function columnsOf(kind: Kind): { readonly bare: readonly StoredField[]; readonly others: readonly StoredField[] } {
  const columns = storedFields(kind);
  return { bare: columns.filter(isBare), others: columns.filter((column) => !isBare(column)) };
}

/** Of these there are most; read first, they are packed while the others are read. */
const MOSTLY: readonly Kind[] = ['billLine', 'pricePoint'];
const LARGEST_FIRST: readonly Kind[] = [...MOSTLY, ...STORED_KINDS.filter((kind) => !MOSTLY.includes(kind))];

/** Of a ledger, those rows that are the book's own. */
function andOfBook(kind: Kind): string {
  if (!isLedger(kind)) return '';
  const { ofBookWith } = ledgerKind(kind);
  return ofBookWith === null ? ' AND false' : ` AND ${columnName(ofBookWith)} IS NOT NULL`;
}

/**
 * Every row of a book as JSON text, handed out piece by piece: by kind the names of the fields once, and then the values
 * of each row in that order (`RowColumns`). PostgreSQL writes it: a book of many rows need not be taken apart and put
 * together again on its way through the server, and what names its fields once is less than half as long.
 */
export async function writeRowsAsJson(
  manager: EntityManager,
  bookId: string,
  write: (piece: string) => void,
): Promise<void> {
  for (const [index, kind] of LARGEST_FIRST.entries()) {
    const { bare, others } = columnsOf(kind);
    const quoted = `'["' || concat_ws('","', ${bare.map(({ name }) => columnName(name)).join(', ')}) || '",'`;
    const row = `${quoted} || concat_ws(',', ${others.map(jsonOf).join(', ')}) || ']'`;
    // Ordered below the aggregate, where the primary key gives the order without a sort.
    const ordered = `SELECT * FROM ${tableName(kind)} WHERE book_id = $1${andOfBook(kind)} ORDER BY id`;
    const sql = `SELECT string_agg(${row}, ',') AS json FROM (${ordered}) AS each`;
    const found: { json: string | null }[] = await manager.query(sql, [bookId]);
    const names = JSON.stringify([...bare, ...others].map(({ name }) => name));
    write(`${index === 0 ? '{' : ','}"${kind}":{"fields":${names},"rows":[`);
    write(found[0]?.json ?? '');
    write(']}');
  }
  write('}');
}
