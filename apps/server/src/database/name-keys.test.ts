import { STORED_KINDS, nameKey, newId, UNIQUELY_NAMED } from '@nuvar/book';
import { evaluate, VIEWS } from '@nuvar/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { DataSource } from 'typeorm';
import { SnapshotsService } from '../book/snapshots.service.js';
import { databaseOfItsOwn } from '../testing/database.js';
import { dataSource, migrate } from './data-source.js';
import { tableName } from './tables.js';

/** A database as it was before names had keys: a row or two of every kind, and pairs of names that are one today. */
const BEFORE = new URL('./testing/before-name-keys.sql', import.meta.url);

let made: Awaited<ReturnType<typeof databaseOfItsOwn>>;
let database: DataSource;
let before: Record<string, unknown[]>;

/** The rows of every kind; none of a kind that the database does not know yet. */
const countOf = async (source: DataSource) =>
  Object.fromEntries(
    await Promise.all(
      STORED_KINDS.map(async (kind) => {
        const [{ known }] = await source.query('SELECT to_regclass($1) IS NOT NULL AS known', [tableName(kind)]);
        return [kind, known ? await source.query(`SELECT id, version FROM ${tableName(kind)} ORDER BY id`) : []];
      }),
    ),
  ) as Record<string, unknown[]>;

beforeAll(async () => {
  made = await databaseOfItsOwn(BEFORE);
  const old = await dataSource(made.url).initialize();
  before = await countOf(old);
  await old.query(
    `INSERT INTO users (id, email, name, password_hash) VALUES ($1, 'Demo@quillfern.example', 'Demo', 'x')`,
    [newId()],
  );
  await old.destroy();
  await migrate(made.url);
  database = await dataSource(made.url).initialize();
});
afterAll(async () => {
  await database.destroy();
  await made.remove();
});

describe('a database of before', () => {
  it('keeps every row when it is brought up, and each name its key', async () => {
    const { costPool, plannedVolume, feeRule, ...kept } = await countOf(database);
    // What was said in columns before has rows of its own since: pools of running costs, planned volumes, fees of channels.
    expect(
      [costPool, plannedVolume, feeRule].map((rows) => rows?.length).every((count) => count !== undefined && count > 0),
    ).toBe(true);
    expect({ ...kept, costPool: [], plannedVolume: [], feeRule: [] }).toEqual(before);
    for (const kind of UNIQUELY_NAMED) {
      const rows: { id: string; name: string; name_key: string }[] = await database.query(
        `SELECT id, name, name_key FROM ${tableName(kind)} ORDER BY id`,
      );
      expect(new Set(rows.map(({ name_key }) => name_key)).size).toBe(rows.length);
      for (const { id, name, name_key } of rows) expect([nameKey(name), `${nameKey(name)} ${id}`]).toContain(name_key);
    }
    const doubled = await database.query(`SELECT name FROM row_material WHERE name_key LIKE '% ' || id ORDER BY name`);
    expect(doubled).toHaveLength(3);
  });

  it('opens, and says which names are the same', async () => {
    const [book]: { id: string }[] = await database.query('SELECT id FROM books');
    const { rows } = await new SnapshotsService(database).read(book?.id ?? '');
    const ends = VIEWS.looseEnds(evaluate(rows, '2026-11-26'), 'book');
    const sentences = ends.filter(({ code }) => code === 'same-name').map(({ sentence }) => sentence);
    expect(sentences).toHaveLength(3);
    expect(sentences.join(' ')).toContain('"Straßenschild" and "STRASSENSCHILD"');
  });

  it('keeps its people, of whom only the former demo person can no longer sign in', async () => {
    const people = await database.query('SELECT name, kind, password_hash IS NULL AS locked FROM users ORDER BY name');
    expect(people).toEqual([
      { name: 'Demo', kind: 'person', locked: true },
      { name: 'Robin Tester', kind: 'person', locked: false },
    ]);
  });

  it('is brought up once, however many servers start at the same time', async () => {
    const again = await databaseOfItsOwn(BEFORE);
    await Promise.all(Array.from({ length: 4 }, () => migrate(again.url)));
    await again.remove();
  });
});
