import { createHash } from 'node:crypto';
import {
  applyChange,
  problem,
  ProblemError,
  type BookReader,
  type Change,
  type Kind,
  type NewBook,
  type Problem,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { Books, Journal, JOURNAL_FORMAT, type JournalEntry } from '../database/entities.js';
import { ROW_TABLES, type RowRecord } from '../database/tables.js';
import { ConflictError } from '../http/problem-filter.js';
import { judgedOnDemand, readerOnDemand } from './reader-on-demand.js';
import { rowsAsked } from './rows.js';

/** Rows that go into one INSERT: enough to be quick, few enough to stay under PostgreSQL's limit of parameters. */
const ROWS_AT_ONCE = 500;

const CONFLICTS: readonly string[] = ['changed-meanwhile', 'row-moved-on'];

/** The one write path of a book. */
@Injectable()
export class ChangeService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * Applies a change whole or not at all, in one transaction with its journal entry, and returns the revision that it
   * made. A change that was applied before gives its first answer. Throws the problems of the change otherwise.
   */
  async apply(bookId: string, userId: string, change: Change): Promise<number> {
    return this.database.transaction(async (manager) => {
      const book = await manager
        .getRepository(Books)
        .findOne({ where: { id: bookId }, lock: { mode: 'pessimistic_write' } });
      if (book === null) throw new ProblemError([problem('not-found')]);
      const digest = digestOf(change);
      const sentBefore = await manager.getRepository(Journal).findOneBy({ bookId, changeId: change.id });
      if (sentBefore !== null) return firstAnswer(sentBefore, digest);
      const reader = readerOnDemand();
      const applied = await judgedOnDemand(
        reader,
        (kind, asked) => rowsAsked(manager, bookId, kind, asked),
        (rows) => applyChange(rows, change),
      );
      if (!applied.ok) throw refusal(applied.problems, reader);
      const entry = { bookId, revision: book.revision + 1, userId, change, digest };
      return this.carryOut(manager, entry, applied.writes);
    });
  }

  /**
   * Applies a change to a book that was just made in the same transaction, with nothing in it yet. Its rows are in the
   * given format of book files.
   */
  async applyToNewBook(
    manager: EntityManager,
    bookId: string,
    userId: string,
    change: Change,
    newBook: NewBook,
  ): Promise<number> {
    const nothing: BookReader = { row: () => undefined, rowsWith: () => [] };
    const applied = applyChange(nothing, change, newBook);
    if (!applied.ok) throw refusal(applied.problems, nothing);
    const entry = { bookId, revision: 1, userId, change, digest: digestOf(change) };
    return this.carryOut(manager, entry, applied.writes);
  }

  private async carryOut(
    manager: EntityManager,
    { change, ...entry }: { bookId: string; revision: number; userId: string; change: Change; digest: string },
    writes: readonly Write[],
  ): Promise<number> {
    await store(manager, entry.bookId, writes);
    await manager.getRepository(Journal).insert({
      ...entry,
      changeId: change.id,
      undoes: change.undoes ?? null,
      format: JOURNAL_FORMAT,
      writes: [...writes],
    } as Omit<JournalEntry, 'at'>);
    await manager.getRepository(Books).update({ id: entry.bookId }, { revision: entry.revision });
    await manager.query(`SELECT pg_notify('book_changed', $1)`, [`${entry.bookId} ${entry.revision}`]);
    return entry.revision;
  }
}

function digestOf(change: Change): string {
  return createHash('sha256').update(JSON.stringify(change.operations)).digest('hex');
}

function firstAnswer(entry: JournalEntry, digest: string): number {
  if (entry.digest !== digest) throw new ProblemError([problem('change-id-reused')]);
  return entry.revision;
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

async function store(manager: EntityManager, bookId: string, writes: readonly Write[]): Promise<void> {
  const created = new Map<Kind, RowRecord[]>();
  for (const { kind, id, before, after } of writes) {
    const rows = manager.getRepository(ROW_TABLES[kind]);
    if (after === null) await rows.delete({ bookId, id });
    else if (before !== null) await rows.update({ bookId, id }, { ...(after as StoredRow) } as never);
    else
      created
        .set(kind, created.get(kind) ?? [])
        .get(kind)
        ?.push({ ...(after as StoredRow), bookId } as RowRecord);
  }
  for (const [kind, records] of created) {
    for (let start = 0; start < records.length; start += ROWS_AT_ONCE) {
      await manager.getRepository(ROW_TABLES[kind]).insert(records.slice(start, start + ROWS_AT_ONCE) as never);
    }
  }
}
