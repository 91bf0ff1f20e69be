import { completeRow, fieldsOf, STORED_KINDS, newId, type FieldSpec, type Kind } from '@nuvar/book';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { DataSource } from 'typeorm';
import { testDatabaseUrl } from '../testing/database.js';
import { dataSource, migrate } from './data-source.js';
import { COLUMN_TYPES, columnName, hasNameKey, NAME_KEY, tableName } from './tables.js';

let database: DataSource;
const bookId = newId();

beforeAll(async () => {
  await migrate(testDatabaseUrl());
  database = await dataSource(testDatabaseUrl()).initialize();
  await database.query('INSERT INTO books (id, revision) VALUES ($1, 0)', [bookId]);
});
afterAll(async () => {
  await database.query('DELETE FROM books WHERE id = $1', [bookId]);
  await database.destroy();
});

interface Column {
  readonly column_name: string;
  readonly data_type: string;
  readonly is_nullable: 'YES' | 'NO';
}

/** A value for a field that has no default. Foreign keys are looked at when a transaction ends, and none here does. */
function valueFor({ type, name }: FieldSpec): unknown {
  const values: Partial<Record<FieldSpec['type'], unknown>> = {
    reference: newId(),
    unit: 'kg',
    currency: 'EUR',
    day: '2026-01-01',
    decimal: '1',
    integer: 1,
    text: `a ${name}`,
  };
  return values[type];
}

/** A row of a kind that its class takes. */
function rowOf(kind: Kind): Record<string, unknown> {
  const row = completeRow(kind, { id: newId() }) as unknown as Record<string, unknown>;
  for (const spec of fieldsOf(kind)) row[spec.name] ??= spec.nullable ? null : valueFor(spec);
  // One item a line, one item a conversion between two units, and settings under the id of their book.
  if (kind === 'billLine') Object.assign(row, { text: 'something', lossBasis: 'on top' });
  if (kind === 'itemConversion') Object.assign(row, { materialId: newId(), equalUnit: 'each' });
  if (kind === 'settings') row.id = bookId;
  return row;
}

/** Inserts a row and takes it back; gives what the database says against it, or null. */
async function refusalOf(kind: Kind, row: Record<string, unknown>): Promise<string | null> {
  const runner = database.createQueryRunner();
  await runner.startTransaction();
  try {
    const fields = Object.keys(row);
    const columns = ['book_id', 'version', ...(hasNameKey(kind) ? [NAME_KEY] : []), ...fields.map(columnName)];
    const places = columns.map((_column, index) => `$${index + 1}`);
    const values = [bookId, 1, ...(hasNameKey(kind) ? [row.id] : []), ...fields.map((field) => row[field])];
    await runner.query(`INSERT INTO ${tableName(kind)} (${columns.join(', ')}) VALUES (${places.join(', ')})`, values);
    return null;
  } catch (error) {
    return (error as Error).message;
  } finally {
    await runner.rollbackTransaction();
    await runner.release();
  }
}

/** The values at the edges of what a field takes. */
function edgesOf({ type, bounds, choices }: FieldSpec): unknown[] {
  if (choices !== undefined) return [...choices];
  if (bounds === undefined) return [];
  const { from, to, above, below } = bounds;
  const step = '0.000000000001';
  const beside = (edge: string | undefined, sign: 1 | -1) =>
    edge === undefined ? [] : [edge === '0' ? step : String(Number(edge) + sign * 0.000001)];
  const edges = [
    ...(from === undefined ? [] : [from]),
    ...(to === undefined ? [] : [to]),
    ...beside(above, 1),
    ...beside(below, -1),
  ];
  return type === 'integer' ? edges.map(Number) : edges;
}

it('every row that points to another is found by it', async () => {
  const unfound: readonly { readonly reference: string }[] = await database.query(`
    SELECT c.conrelid::regclass || '.' || string_agg(a.attname, ', ' ORDER BY a.attname) AS reference
    FROM pg_constraint c JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = ANY (c.conkey)
    WHERE c.contype = 'f' AND NOT EXISTS (
      SELECT FROM pg_index i
      WHERE i.indrelid = c.conrelid AND (i.indkey::int2[])[0:cardinality(c.conkey) - 1] @> c.conkey)
    GROUP BY c.oid, c.conrelid`);
  expect(unfound.map(({ reference }) => reference)).toEqual([]);
});

describe.each(STORED_KINDS)('the table of %s', (kind) => {
  it('has a column for each field of its class, of its type, and empty where the field may be', async () => {
    const columns: Column[] = await database.query(
      'SELECT column_name, data_type, is_nullable FROM information_schema.columns WHERE table_name = $1',
      [tableName(kind)],
    );
    const found = new Map(columns.map((column) => [column.column_name, column]));
    const expected = fieldsOf(kind).map(({ name, type, nullable }) => ({
      column_name: columnName(name),
      data_type: COLUMN_TYPES[type],
      is_nullable: nullable ? 'YES' : 'NO',
    }));
    expect(expected.map(({ column_name }) => found.get(column_name))).toEqual(expected);
    expect([...found.keys()].sort()).toEqual(
      [
        ...['book_id', 'id', 'version', ...(hasNameKey(kind) ? [NAME_KEY] : [])],
        ...expected.map(({ column_name }) => column_name),
      ].sort(),
    );
  });

  it('takes every value that the class takes, up to the edges, and nothing in the place of what has to be there', async () => {
    expect(await refusalOf(kind, rowOf(kind))).toBeNull();
    for (const spec of fieldsOf(kind)) {
      for (const edge of edgesOf(spec))
        expect(await refusalOf(kind, { ...rowOf(kind), [spec.name]: edge }), `${spec.name} ${String(edge)}`).toBeNull();
      if (!spec.nullable)
        expect(await refusalOf(kind, { ...rowOf(kind), [spec.name]: null }), spec.name).toMatch(/not-null/);
    }
  });
});
