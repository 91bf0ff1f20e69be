import { createHash } from 'node:crypto';
import {
  applyChange,
  BOOK_FILE_VERSION,
  newId,
  problem,
  ProblemError,
  type BookReader,
  type Change,
  type Kind,
  type Problem,
  type Write,
} from '@nuvar/book';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { JOURNAL_FORMAT } from '../database/entities.js';
import { ConflictError } from './conflict-error.js';
import { membershipIn } from './membership.js';
import { judgedOnDemand, readerOnDemand } from './reader-on-demand.js';
import { rowsAsked } from './rows.js';
import { refusalOfStorage } from './storage-refusal.js';
import { takeRoom } from './room.js';
import { keepPieces, piecesOf, type Piece } from './journal-pieces.js';
import { keepLedgers } from '../ledgers/kept-days.js';
import { keysOfNamesakes, storeWrites, type NameKeys } from './stored-writes.js';

const CONFLICTS: readonly string[] = ['changed-meanwhile', 'row-moved-on'];

interface Entry {
  readonly bookId: string;
  readonly revision: number;
  readonly userId: string;
  readonly change: Pick<Change, 'id' | 'undoes'>;
  readonly digest: string;
}

/** The one write path of a book. */
@Injectable()
export class ChangeService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * Applies a change whole or not at all, in one transaction with its journal entry, and returns the revision that it
   * made. A change that was applied before gives its first answer. Who makes it has to be an owner or editor of the book
   * at that very moment. Throws the problems of the change otherwise.
   */
  async apply(bookId: string, userId: string, change: Change): Promise<number> {
    return this.database.transaction(async (manager) => {
      const revision = await lockedRevision(manager, bookId);
      await membershipIn(manager, bookId, userId, ['owner', 'editor']);
      const digest = digestOf(change);
      const sentBefore = await revisionOf(manager, bookId, change.id);
      if (sentBefore !== undefined) return firstAnswer(sentBefore, digest);
      const reader = readerOnDemand();
      const applied = await judgedOnDemand(
        reader,
        (kind, asked) => rowsAsked(manager, bookId, kind, asked),
        (rows) => applyChange(rows, change),
      );
      if (!applied.ok) throw refusal(applied.problems, reader);
      return carryOut(manager, { bookId, revision: revision + 1, userId, change, digest }, applied.writes);
    });
  }

  /** Fills a book that was just made in the same transaction with rows that have been held against all rules. */
  fillNewBook(manager: EntityManager, bookId: string, userId: string, writes: readonly Write[]): Promise<number> {
    const entry = { bookId, revision: 1, userId, change: { id: newId() }, digest: OF_A_NEW_BOOK };
    return carryOut(manager, entry, writes, keysOfNamesakes(writes));
  }
}

/** The first change of a book is made here and never sent: nothing has to be compared with it. */
const OF_A_NEW_BOOK = 'a new book';

/** What makes a new book by a change to nothing, which may add its settings. Throws the problems of the change. */
export function writesOfNewBook(change: Change): readonly Write[] {
  const nothing: BookReader = { row: () => undefined, rowsWith: () => [] };
  const applied = applyChange(nothing, change, { format: BOOK_FILE_VERSION });
  if (!applied.ok) throw refusal(applied.problems, nothing);
  return applied.writes;
}

/**
 * The revision of a book, held until the transaction ends: the next change of the book waits for this one, and whoever
 * only reads the book or keeps a snapshot of it does not.
 */
async function lockedRevision(manager: EntityManager, bookId: string): Promise<number> {
  const found: { revision: number }[] = await manager.query(
    'SELECT revision FROM books WHERE id = $1 FOR NO KEY UPDATE',
    [bookId],
  );
  if (found[0] === undefined) throw new ProblemError([problem('not-found')]);
  return found[0].revision;
}

interface SentBefore {
  readonly revision: number;
  readonly digest: string;
}

/** What is known of a change that was sent before: its writes may be long, and are left where they are. */
async function revisionOf(manager: EntityManager, bookId: string, changeId: string): Promise<SentBefore | undefined> {
  const found: SentBefore[] = await manager.query(
    'SELECT revision, digest FROM journal WHERE book_id = $1 AND change_id = $2',
    [bookId, changeId],
  );
  return found[0];
}

async function carryOut(
  manager: EntityManager,
  { bookId, revision, userId, change, digest }: Entry,
  writes: readonly Write[],
  keys?: NameKeys,
): Promise<number> {
  let pieces: Piece[];
  try {
    await storeWrites(manager, bookId, writes, keys);
    // While the database looks at the references of many rows, the text of the journal is made.
    const held = manager.query('SET CONSTRAINTS ALL IMMEDIATE');
    held.catch(() => undefined);
    pieces = [...piecesOf(writes)];
    await held;
    await keepLedgers(manager, bookId, writes);
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    const problems = refusalOfStorage(error, writes);
    throw problems === null ? error : new ProblemError(problems);
  }
  await manager.query(
    `INSERT INTO journal (book_id, revision, change_id, user_id, undoes, format, digest, write_count)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [bookId, revision, change.id, userId, change.undoes ?? null, JOURNAL_FORMAT, digest, writes.length],
  );
  await keepPieces(manager, bookId, revision, pieces);
  const bytes = pieces.reduce((sum, piece) => sum + piece.bytes, 0);
  await takeRoom(manager, bookId, revision, writes, bytes);
  await manager.query(`SELECT pg_notify('book_changed', $1)`, [`${bookId} ${revision}`]);
  return revision;
}

function digestOf(change: Change): string {
  return createHash('sha256').update(JSON.stringify(change.operations)).digest('hex');
}

function firstAnswer(sentBefore: SentBefore, digest: string): number {
  if (sentBefore.digest !== digest) throw new ProblemError([problem('change-id-reused')]);
  return sentBefore.revision;
}

function refusal(problems: readonly Problem[], reader: BookReader): ProblemError {
  const conflicts = problems.filter((each) => CONFLICTS.includes(each.code));
  if (conflicts.length === 0 || conflicts.length < problems.length)
    return new ProblemError(problems.filter((each) => !CONFLICTS.includes(each.code)));
  const rows = conflicts.map((each) => ({
    kind: each.kind ?? '',
    row: reader.row(each.kind as Kind, each.rowId ?? '') ?? null,
  }));
  return new ConflictError(conflicts, rows);
}
