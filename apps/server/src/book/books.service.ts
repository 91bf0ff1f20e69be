import {
  bookRows,
  KIND_NAMES,
  newId,
  problem,
  ProblemError,
  readBookFile,
  writeBookFile,
  type BookFile,
  type BookRows,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { Books, Members, type JournalEntry, type Role } from '../database/entities.js';
import { changeOf } from './change-of.js';
import { ChangeService, writesOfNewBook } from './change.service.js';
import { SnapshotsService } from './snapshots.service.js';

export interface BookSummary {
  readonly id: string;
  readonly name: string;
  readonly currency: string;
  readonly role: Role;
}

/** A journal entry as it is read: who, when, and what was before and after. `writeCount` counts them all. */
export type HistoryEntry = Omit<JournalEntry, 'bookId' | 'digest' | 'format'> & {
  readonly userName: string;
  readonly writeCount: number;
};

/** Of a change of many rows, the history says the first ones and counts the others. */
const WRITES_TOLD = 10;

/** Books as wholes: made, listed, read, taken in from files and written to them. Their rows change by changes only. */
@Injectable()
export class BooksService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(ChangeService) private readonly changes: ChangeService,
    @Inject(SnapshotsService) private readonly snapshots: SnapshotsService,
  ) {}

  listFor(userId: string): Promise<BookSummary[]> {
    return this.database.query(
      `SELECT book_id AS id, row_settings.name, currency, role FROM members JOIN row_settings USING (book_id) WHERE user_id = $1 ORDER BY lower(row_settings.name)`,
      [userId],
    );
  }

  /** Makes a book with the given settings and nothing else in it. Throws the problems of the settings. */
  make(userId: string, settings: Readonly<Record<string, unknown>>): Promise<string> {
    return this.makeWith(userId, (bookId) => {
      const operations = [{ action: 'create', kind: 'settings', row: { ...settings, id: bookId } }];
      return writesOfNewBook(changeOf({ id: newId(), operations }));
    });
  }

  /** Makes a new book of a book file. Throws the problems of the file, and then nothing is stored. */
  takeIn(userId: string, file: unknown): Promise<string> {
    const read = readBookFile(file);
    if (!read.ok) throw new ProblemError(read.problems);
    return this.makeWith(userId, (bookId) => creationOf(read.rows, bookId));
  }

  private async makeWith(userId: string, writesFor: (bookId: string) => readonly Write[]): Promise<string> {
    const bookId = newId();
    await this.database.transaction(async (manager) => {
      await refuseManyOfAGuest(manager, userId);
      await manager.getRepository(Books).insert({ id: bookId, revision: 0 });
      await manager.getRepository(Members).insert({ bookId, userId, role: 'owner' });
      await this.changes.fillNewBook(manager, bookId, userId, writesFor(bookId));
    });
    return bookId;
  }

  async file(bookId: string): Promise<BookFile> {
    const { rows } = await this.snapshots.read(bookId);
    return writeBookFile(bookRows(rows));
  }

  /** The changes after a revision, oldest first; at most `most` of them. */
  since(bookId: string, revision: number, most: number): Promise<HistoryEntry[]> {
    return this.entries(`book_id = $1 AND revision > $2 ORDER BY revision LIMIT $3`, [bookId, revision, most]);
  }

  /** The changes before a revision, newest first, to be told: of each no more than its first writes. */
  before(bookId: string, revision: number, most: number): Promise<HistoryEntry[]> {
    const where = `book_id = $1 AND revision < $2 ORDER BY revision DESC LIMIT $3`;
    return this.entries(
      where,
      [bookId, revision, most],
      `jsonb_path_query_array(writes, '$[0 to ${WRITES_TOLD - 1}]')`,
    );
  }

  /** What a person may want to take back: their own changes, newest first, without the making of the book. */
  ownLatest(bookId: string, userId: string, most: number): Promise<HistoryEntry[]> {
    return this.entries(`book_id = $1 AND user_id = $2 AND revision > 1 ORDER BY revision DESC LIMIT $3`, [
      bookId,
      userId,
      most,
    ]);
  }

  private entries(where: string, values: unknown[], writes = 'writes'): Promise<HistoryEntry[]> {
    return this.database.query(
      `SELECT revision, change_id AS "changeId", user_id AS "userId", users.name AS "userName", at, undoes,
         ${writes} AS writes, jsonb_array_length(writes) AS "writeCount"
       FROM journal JOIN users ON users.id = journal.user_id WHERE ${where}`,
      values,
    );
  }

  async remove(bookId: string): Promise<void> {
    await this.database.getRepository(Books).delete({ id: bookId });
  }
}

/** The writes that make a new book of rows that were read; its settings get the id of the book. */
function creationOf(rows: BookRows, bookId: string): Write[] {
  return KIND_NAMES.flatMap((kind) =>
    rows.all(kind).map((row): Write => {
      const id = kind === 'settings' ? bookId : row.id;
      return { kind, id, before: null, after: { ...(row as StoredRow), id } };
    }),
  );
}

/** A guest tries things out: with the demo book, so many in all. */
const MOST_BOOKS_OF_A_GUEST = 3;

async function refuseManyOfAGuest(manager: EntityManager, userId: string): Promise<void> {
  const found: { count: number }[] = await manager.query(
    `SELECT count(book_id)::integer AS count FROM users LEFT JOIN members ON user_id = users.id
     WHERE users.id = $1 AND kind = 'guest'`,
    [userId],
  );
  if ((found[0]?.count ?? 0) >= MOST_BOOKS_OF_A_GUEST) throw new ProblemError([problem('not-as-a-guest')]);
}
