import { newId, type Operation, type Write } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import fc from 'fast-check';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { JournalInPieces1767300000000 } from '../database/migrations/1767300000000-journal-in-pieces.js';
import { material, signUp, testServer, type Person } from '../testing/client.js';
import { piecesOf } from './journal-pieces.js';

interface Entry {
  readonly revision: number;
  readonly changeId: string;
  readonly writes: Write[];
  readonly writeCount: number;
  readonly rest: number | null;
}

const MEGABYTE = 1024 * 1024;
/** The limit of an answer, one piece more, and what stands around them. */
const LONGEST = 4.5 * MEGABYTE;

let app: NestExpressApplication;
let owner: Person;
let bookId: string;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
  bookId = await owner.makeBook('Large changes');
});
afterAll(() => app.close());

/** Materials with notes so long that their change comes near to what a change may be. */
const many = (count: number, letters: number): Operation[] =>
  Array.from({ length: count }, () => {
    const id = newId();
    return { action: 'create', kind: 'material', row: { id, name: id, note: 'n'.repeat(letters) } };
  });

const asked = async (query: string): Promise<{ entries: Entry[]; length: number }> => {
  const { text } = await owner.get(`/api/books/${bookId}/changes${query}`).expect(200);
  return { entries: JSON.parse(text) as Entry[], length: text.length };
};

/** All that an entry wrote, piece by piece. */
async function wholeOf({ revision, writes, rest }: Entry): Promise<Write[]> {
  const all = [...writes];
  for (let piece = rest; piece !== null;) {
    const { text } = await owner.get(`/api/books/${bookId}/changes/${revision}/writes?piece=${piece}`).expect(200);
    expect(text.length).toBeLessThan(MEGABYTE);
    const told = JSON.parse(text) as { writes: Write[]; rest: number | null };
    all.push(...told.writes);
    piece = told.rest;
  }
  return all;
}

const idsOf = (writes: readonly Write[]) => writes.map(({ id }) => id);

describe('the journal of a book with large changes', () => {
  it('gives answers of a bounded length, of which the rest can be asked for, and leaves nothing out', async () => {
    const changes: { id: string; rows: string[] }[] = [];
    for (let turn = 0; turn < 6; turn += 1) {
      const operations = [...many(2_500, 500), ...(turn % 2 === 0 ? [material(`Small ${turn}`).operation] : [])];
      const id = newId();
      await owner.change(bookId, operations, { id }).expect(200);
      changes.push({ id, rows: operations.flatMap((each) => (each.action === 'create' ? [each.row.id] : [])) });
    }
    await owner.change(bookId, [material('Last').operation]).expect(200);

    const caughtUp = new Map<string, string[]>();
    let revision = 1;
    for (let entries = (await asked('?since=1')).entries; entries.length > 0;) {
      for (const entry of entries) {
        const writes = await wholeOf(entry);
        expect(writes).toHaveLength(entry.writeCount);
        caughtUp.set(entry.changeId, idsOf(writes));
        revision = entry.revision;
      }
      const next = await asked(`?since=${revision}`);
      expect(next.length).toBeLessThan(LONGEST);
      entries = next.entries;
    }
    expect(caughtUp.size).toBe(7);
    for (const { id, rows } of changes) expect(caughtUp.get(id)?.sort()).toEqual([...rows].sort());

    const own = await asked('?own=true');
    expect(own.length).toBeLessThan(LONGEST);
    expect(own.entries[0]).toMatchObject({ writeCount: 1, rest: null });
    const large = own.entries[1] as Entry;
    expect(large.rest).toBe(1);
    expect(large.writes.length).toBeLessThan(large.writeCount);
    expect(await wholeOf(large)).toHaveLength(large.writeCount);

    const told = await asked('?before=1000');
    expect(told.entries.map(({ writes }) => writes.length)).toEqual([1, 10, 10, 10, 10, 10, 10, 1]);
    expect(told.length).toBeLessThan(200_000);
    const row = changes[3]?.rows[1_234] ?? '';
    expect((await asked(`?row=${row}`)).entries.map(({ writes }) => idsOf(writes))).toEqual([[row]]);
    await owner.get(`/api/books/${bookId}/changes/${large.revision}/writes?piece=999`).expect(404);
    const stranger = await signUp(app);
    await stranger.get(`/api/books/${bookId}/changes/${large.revision}/writes?piece=0`).expect(404);
  });

  it('is the same after it was one text an entry, as it was kept before', async () => {
    const database = app.get(DataSource);
    const writes = (): Promise<unknown> =>
      database.query(
        `SELECT revision, jsonb_agg(written ->> 'id' ORDER BY piece, place) AS ids FROM journal_writes,
         jsonb_array_elements(writes) WITH ORDINALITY AS each (written, place) WHERE book_id = $1 GROUP BY 1 ORDER BY 1`,
        [bookId],
      );
    const before = await writes();
    const runner = database.createQueryRunner();
    await new JournalInPieces1767300000000().down(runner);
    await new JournalInPieces1767300000000().up(runner);
    await runner.release();
    expect(await writes()).toEqual(before);
    const { entries } = await asked('?before=1000');
    expect(entries.map(({ writeCount }) => writeCount)).toEqual([1, 2500, 2501, 2500, 2501, 2500, 2501, 1]);
  });
});

it('pieces hold all writes in their order, none of them empty, none longer than the limit and one write', () => {
  const write = fc.record({ id: fc.uuid(), letters: fc.nat({ max: 90_000 }) }).map(({ id, letters }): Write => ({
    kind: 'material',
    id,
    before: null,
    after: { id, note: 'é'.repeat(letters) } as never,
  }));
  fc.assert(
    fc.property(fc.array(write, { maxLength: 12 }), (writes) => {
      const pieces = [...piecesOf(writes)];
      expect(pieces.flatMap(({ text }) => JSON.parse(text) as Write[])).toEqual(writes);
      expect(pieces.flatMap(({ rowIds }) => rowIds)).toEqual(idsOf(writes));
      for (const { rowIds, text } of pieces) {
        expect(rowIds.length).toBeGreaterThan(0);
        expect(text.length).toBeLessThan(256 * 1024 + 100_000);
      }
    }),
    { numRuns: 40 },
  );
});
