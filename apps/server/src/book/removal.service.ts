import { setTimeout as pause } from 'node:timers/promises';
import { Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { databaseError } from '../database/database-error.js';
import { log } from '../http/logger.js';

/** Rows that go in one statement, and the pause after it, in milliseconds: whoever works in other books does not feel it. */
const PIECE = 2_000;
const PAUSE = 10;

/** When what failed, because the database was away, is tried again, in milliseconds. */
const AGAIN_AFTER = 60_000;

/** What a book has beside its rows. */
const BESIDE_ROWS = ['document_jobs', 'kept_snapshots', 'ledger_days', 'journal_writes', 'journal'];

/** A table of rows, with its columns that point to rows of the same table. */
interface Removable {
  readonly table: string;
  readonly pointsToItself: readonly string[];
}

/** Takes books away: at once from everybody who could see them, and then, by pieces and in the background, their rows. */
@Injectable()
export class RemovalService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly stopping = new AbortController();
  private underWay: Promise<void> | null = null;
  private again = false;
  private retry: NodeJS.Timeout | undefined;

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** What was left when a server ended is gone on with. */
  onApplicationBootstrap(): void {
    this.begin();
  }

  onApplicationShutdown(): void {
    this.stopping.abort();
    clearTimeout(this.retry);
  }

  /** Removes books for good. From here on nobody learns that there were any. */
  async remove(bookIds: readonly string[]): Promise<void> {
    await this.database.transaction((manager) => hide(manager, bookIds));
    this.begin();
  }

  /** Ends when nothing is left to be removed. */
  async finished(): Promise<void> {
    while (this.underWay !== null) await this.underWay;
  }

  private begin(): void {
    this.again = this.underWay !== null;
    if (this.again) return;
    this.underWay = this.work()
      .catch((error: unknown) => {
        log.warn({ error: String(error) }, 'removed books are still there');
        this.retry = setTimeout(() => this.begin(), AGAIN_AFTER).unref();
      })
      .finally(() => {
        this.underWay = null;
        if (this.again) this.begin();
      });
  }

  private async work(): Promise<void> {
    const tables = await removableTables(this.database);
    for (;;) {
      const [book]: { id: string }[] = await this.database.query(
        'SELECT id FROM books WHERE removed_at IS NOT NULL ORDER BY removed_at LIMIT 1',
      );
      if (book === undefined || this.stopping.signal.aborted) return;
      for (const table of tables) await this.empty(table, book.id);
      for (const table of BESIDE_ROWS) await this.empty({ table, pointsToItself: [] }, book.id);
      // What points in a circle goes with the book.
      await this.database.query('DELETE FROM books WHERE id = $1', [book.id]);
    }
  }

  private async empty({ table, pointsToItself }: Removable, bookId: string): Promise<void> {
    const isFree = pointsToItself.map(
      (column) =>
        `AND NOT EXISTS (SELECT 1 FROM ${table} AS other WHERE other.book_id = own.book_id AND other.${column} = own.id)`,
    );
    for (;;) {
      if (this.stopping.signal.aborted) return;
      const [{ count }] = (await this.database
        .query(
          `WITH gone AS (DELETE FROM ${table} WHERE ctid IN (SELECT ctid FROM ${table} AS own
             WHERE book_id = $1 ${isFree.join(' ')} LIMIT ${PIECE} FOR UPDATE SKIP LOCKED) RETURNING 1)
           SELECT count(*)::integer AS count FROM gone`,
          [bookId],
        )
        .catch(none)) as [{ count: number }];
      if (count === 0) return;
      await pause(PAUSE, undefined, { signal: this.stopping.signal }).catch(() => undefined);
    }
  }
}

/** Rows to which others still point stay until the book itself goes. */
function none(error: unknown): [{ count: number }] {
  if (databaseError(error)?.code === '23503') return [{ count: 0 }];
  throw error;
}

/** Nobody is a member of these books any more. */
async function hide(manager: EntityManager, bookIds: readonly string[]): Promise<void> {
  await manager.query('DELETE FROM members WHERE book_id = ANY($1::uuid[])', [bookIds]);
  await manager.query('UPDATE books SET removed_at = now() WHERE id = ANY($1::uuid[])', [bookIds]);
}

/** The tables of rows in an order in which none comes before one that points to it. */
async function removableTables(database: DataSource): Promise<Removable[]> {
  const arrows: { from: string; to: string; column: string }[] = await database.query(
    `SELECT conrelid::regclass::text AS from, confrelid::regclass::text AS to, attname AS column
     FROM pg_constraint JOIN pg_attribute ON attrelid = conrelid AND attnum = ANY(conkey) AND attname <> 'book_id'
     WHERE contype = 'f' AND conrelid::regclass::text LIKE 'row\\_%' AND confrelid::regclass::text LIKE 'row\\_%'`,
  );
  const found: { name: string }[] = await database.query(
    `SELECT tablename AS name FROM pg_tables WHERE schemaname = current_schema() AND tablename LIKE 'row\\_%' ORDER BY 1`,
  );
  const left = new Set(found.map(({ name }) => name));
  const ordered: Removable[] = [];
  while (left.size > 0) {
    const isPointedTo = (name: string) => arrows.some(({ from, to }) => to === name && from !== name && left.has(from));
    // Where tables point in a circle, any of them is next.
    const table = [...left].find((name) => !isPointedTo(name)) ?? [...left][0] ?? '';
    left.delete(table);
    const own = arrows.filter(({ from, to }) => from === table && to === table);
    ordered.push({ table, pointsToItself: own.map(({ column }) => column) });
  }
  return ordered;
}
