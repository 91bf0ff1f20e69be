import { problem, ProblemError, type Write } from '@nuvar/book';
import type { EntityManager } from 'typeorm';

/** How much a book may hold, and all books of one person or guest together. */
interface Most {
  readonly rows: number;
  readonly journalMegabytes: number;
  readonly rowsOfAllBooks: number;
  readonly books: number;
}

const OF_A_PERSON: Most = { rows: 1_000_000, journalMegabytes: 4_096, rowsOfAllBooks: 5_000_000, books: 200 };
/** A guest tries things out: with the demo book, so many books in all. */
const OF_A_GUEST: Most = { rows: 30_000, journalMegabytes: 64, rowsOfAllBooks: 60_000, books: 3 };

/** What the books of all guests together may have in their journals. */
const MEGABYTES_OF_ALL_GUESTS = 8_192;

const MEGABYTE = 1024 * 1024;

interface Held {
  readonly rows: number;
  readonly bytes: number;
}

/**
 * Counts what a change adds to a book, which comes to a revision with it. Throws `book-full` where the book would hold more
 * than it may.
 */
export async function takeRoom(
  manager: EntityManager,
  bookId: string,
  revision: number,
  writes: readonly Write[],
  bytes: number,
): Promise<void> {
  const more = writes.reduce((sum, { before, after }) => sum + (before === null ? 1 : 0) - (after === null ? 1 : 0), 0);
  const [[held]] = (await manager.query(
    `UPDATE books SET revision = $2, row_count = row_count + $3, journal_bytes = journal_bytes + $4 WHERE id = $1
     RETURNING row_count AS rows, journal_bytes::float8 AS bytes`,
    [bookId, revision, more, bytes],
  )) as [[Held]];
  // Whoever makes room by removing rows is not refused for the rows that are left.
  const counted = more < 0 ? { rows: 0, bytes: held.bytes } : held;
  // Most books have room even for a guest's: nobody is looked up for them.
  if (partFilled(counted, OF_A_GUEST) <= 1) return;
  const most = await mostOf(manager, bookId);
  if (partFilled(counted, most) > 1) throw full(most);
}

/** Counts bytes that are kept beside the rows of a book, or below zero gives them back. Throws `book-full` where it would hold more than it may. */
export async function takeBytes(manager: EntityManager, bookId: string, bytes: number): Promise<void> {
  const [[held]] = (await manager.query(
    `UPDATE books SET journal_bytes = journal_bytes + $2 WHERE id = $1
     RETURNING row_count AS rows, journal_bytes::float8 AS bytes`,
    [bookId, bytes],
  )) as [[Held]];
  if (bytes < 0) return;
  const most = await mostOf(manager, bookId);
  if (partFilled({ ...held, rows: 0 }, most) > 1) throw full(most);
}

const full = ({ rows, journalMegabytes }: Most) =>
  new ProblemError([
    problem('book-full', { values: { rows: rows.toLocaleString('en-IE'), megabytes: String(journalMegabytes) } }),
  ]);

/** How much of the room of a book is taken, in percent. */
export async function percentFilled(manager: EntityManager, bookId: string): Promise<number> {
  const [held]: Held[] = await manager.query(
    'SELECT row_count AS rows, journal_bytes::float8 AS bytes FROM books WHERE id = $1',
    [bookId],
  );
  if (held === undefined || partFilled(held, OF_A_GUEST) < 0.9) return 0;
  return Math.floor(partFilled(held, await mostOf(manager, bookId)) * 100);
}

const partFilled = ({ rows, bytes }: Held, most: Most): number =>
  Math.max(rows / most.rows, bytes / (most.journalMegabytes * MEGABYTE));

/** A book is a guest's where all of its members are guests. */
async function mostOf(manager: EntityManager, bookId: string): Promise<Most> {
  const found: unknown[] = await manager.query(
    `SELECT 1 FROM members JOIN users ON users.id = user_id WHERE book_id = $1 AND kind = 'person' LIMIT 1`,
    [bookId],
  );
  return found.length > 0 ? OF_A_PERSON : OF_A_GUEST;
}

/** Refuses another book to whoever has as many, or as many rows in them, as they may. */
export async function refuseTooManyBooks(manager: EntityManager, userId: string): Promise<void> {
  const [held]: { kind: string; books: number; rows: number }[] = await manager.query(
    `SELECT kind, count(book_id)::integer AS books, coalesce(sum(row_count), 0)::float8 AS rows FROM users
     LEFT JOIN members ON user_id = users.id AND role = 'owner' LEFT JOIN books ON books.id = book_id
     WHERE users.id = $1 GROUP BY kind`,
    [userId],
  );
  if (held === undefined) return;
  const most = held.kind === 'guest' ? OF_A_GUEST : OF_A_PERSON;
  if (held.books < most.books && held.rows < most.rowsOfAllBooks) return;
  if (held.kind === 'guest') throw new ProblemError([problem('not-as-a-guest')]);
  throw new ProblemError([
    problem('too-many-books', {
      values: { books: String(most.books), rows: most.rowsOfAllBooks.toLocaleString('en-IE') },
    }),
  ]);
}

/** Lets no more guests in while the books of those who are there hold as much as all of them may. */
export async function refuseFullDemo(manager: EntityManager): Promise<void> {
  const [held]: { bytes: number }[] = await manager.query(
    `SELECT coalesce(sum(journal_bytes), 0)::float8 AS bytes FROM users JOIN members ON user_id = users.id
     JOIN books ON books.id = book_id WHERE kind = 'guest'`,
  );
  if ((held?.bytes ?? 0) > MEGABYTES_OF_ALL_GUESTS * MEGABYTE) throw new ProblemError([problem('demo-full')]);
}
