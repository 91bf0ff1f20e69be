import { gunzipSync, gzipSync } from 'node:zlib';
import {
  bookRows,
  columnsOfRows,
  type LedgerStates,
  nameKey,
  problem,
  ProblemError,
  readBookFile,
  rowsByKind,
  type RowColumns,
  type RowsByKind,
  writeBookFile,
} from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { takeBytes } from './room.js';

/** What is kept of a book: its book file, whose format tells how to read it later, and what its ledgers had come to on that day. */
interface Frozen {
  readonly file: unknown;
  readonly states: LedgerStates;
}

/** As baselines were kept while stock was the only ledger. */
interface FrozenBefore {
  readonly file: unknown;
  readonly stock: LedgerStates['stockPosition'];
}

export interface BaselineToKeep {
  readonly bookId: string;
  readonly id: string;
  readonly userId: string;
  readonly name: string;
  readonly note: string;
  readonly day: string;
}

/** Keeps the rows of a book as a baseline. Throws `name-taken` where another was faster, and `book-full`. */
export async function keepFrozen(
  manager: EntityManager,
  { bookId, id, userId, name, note, day }: BaselineToKeep,
  revision: number,
  rows: RowsByKind,
  states: LedgerStates,
): Promise<void> {
  const frozen: Frozen = { file: writeBookFile(bookRows(rows)), states };
  const packed = gzipSync(JSON.stringify(frozen));
  await manager.transaction(async (within) => {
    const kept: unknown[] = await within.query(
      `INSERT INTO baselines (book_id, id, name, name_key, note, day, revision, made_by, packed)
       VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9) ON CONFLICT (book_id, name_key) DO NOTHING RETURNING id`,
      [bookId, id, name, nameKey(name), note, day, revision, userId, packed],
    );
    if (kept.length === 0) throw new ProblemError([problem('name-taken', { values: { kind: 'baseline', name } })]);
    await takeBytes(within, bookId, packed.byteLength);
  });
}

/** A baseline as the page evaluates it. */
export interface FrozenRows {
  readonly name: string;
  readonly asOf: string;
  readonly rows: RowColumns;
}

/** Reads a baseline, whatever format it was kept in. Throws `not-found` where there is none. */
export async function readFrozen(manager: EntityManager, bookId: string, id: string): Promise<FrozenRows> {
  const [found]: { packed: Buffer; day: string; name: string }[] = await manager.query(
    `SELECT packed, name, to_char(day, 'YYYY-MM-DD') AS day FROM baselines WHERE book_id = $1 AND id = $2`,
    [bookId, id],
  );
  if (found === undefined) throw new ProblemError([problem('not-found')]);
  const frozen = JSON.parse(gunzipSync(found.packed).toString()) as Frozen | FrozenBefore;
  const states = 'states' in frozen ? frozen.states : { stockPosition: frozen.stock };
  const read = readBookFile(frozen.file);
  if (!read.ok) throw new ProblemError(read.problems);
  return {
    name: found.name,
    asOf: found.day,
    rows: columnsOfRows({ ...rowsByKind(read.rows), ...states }),
  };
}
