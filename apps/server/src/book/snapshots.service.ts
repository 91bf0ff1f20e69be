import { Readable } from 'node:stream';
import { text } from 'node:stream/consumers';
import { constants, createGunzip, createGzip } from 'node:zlib';
import { problem, ProblemError, rowsOfColumns, type RowColumns, type RowsByKind } from '@nuvar/book';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { TABLES_LAYOUT } from '../database/data-source.js';
import { Books } from '../database/entities.js';
import { log } from '../http/logger.js';
import { writeRowsAsJson } from './rows.js';

/** How long after the last change of a book its snapshot is renewed, in milliseconds: while somebody types it need not be. */
const RENEWED_AFTER = 10_000;

/**
 * The snapshots of books: all rows with the revision that they are of, as packed (gzip) JSON text. The latest one of a
 * book is kept beside its rows and serves for as long as the book is at its revision and its tables are those that it was
 * read from.
 */
@Injectable()
export class SnapshotsService implements OnApplicationShutdown {
  private readonly renewals = new Map<string, NodeJS.Timeout>();

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** The snapshot of a book, packed: the kept one, or one that is put together while it is read, and kept. */
  async packed(bookId: string): Promise<Readable> {
    const kept = await this.kept(bookId);
    return Readable.from(kept === null ? this.putTogether(bookId) : [kept]);
  }

  /** All rows of a book by kind, and the revision that they are of. */
  async read(bookId: string): Promise<{ readonly revision: number; readonly rows: RowsByKind }> {
    const snapshot = await text((await this.packed(bookId)).pipe(createGunzip()));
    const { revision, rows } = JSON.parse(snapshot) as { revision: number; rows: RowColumns };
    return { revision, rows: rowsOfColumns(rows) };
  }

  /** The revision that a book has come to. Throws `not-found` where it was removed meanwhile. */
  async revisionOf(bookId: string): Promise<number> {
    const book = await this.database.getRepository(Books).findOneBy({ id: bookId });
    if (book === null) throw new ProblemError([problem('not-found')]);
    return book.revision;
  }

  /** The book has changed: once nobody has changed it for a while, its snapshot is made ready for whoever opens it next. */
  renewSoon(bookId: string): void {
    clearTimeout(this.renewals.get(bookId));
    const renew = () => {
      this.renewals.delete(bookId);
      this.packed(bookId)
        .then((packed) => packed.resume().on('error', (error) => log.warn({ error: error.message }, 'no snapshot')))
        .catch((error: unknown) => log.warn({ error: String(error) }, 'no snapshot'));
    };
    this.renewals.set(bookId, setTimeout(renew, RENEWED_AFTER).unref());
  }

  onApplicationShutdown(): void {
    this.renewals.forEach((timer) => clearTimeout(timer));
  }

  private async kept(bookId: string): Promise<Buffer | null> {
    const found: { packed: Buffer }[] = await this.database.query(
      `SELECT packed FROM kept_snapshots JOIN books ON books.id = book_id AND books.revision = kept_snapshots.revision
       WHERE book_id = $1 AND layout = $2`,
      [bookId, TABLES_LAYOUT],
    );
    return found[0]?.packed ?? null;
  }

  /** What has been read is packed and handed out while the rest is read; at the end all of it is kept. */
  private async *putTogether(bookId: string): AsyncGenerator<Buffer> {
    const gzip = createGzip({ level: constants.Z_BEST_SPEED });
    const reading = this.write(bookId, (piece) => gzip.write(piece));
    reading.then(
      () => gzip.end(),
      (error: Error) => gzip.destroy(error),
    );
    const pieces: Buffer[] = [];
    for await (const piece of gzip as AsyncIterable<Buffer>) {
      pieces.push(piece);
      yield piece;
    }
    await this.keep(bookId, await reading, Buffer.concat(pieces));
  }

  /** Reads all rows in one view of the database and returns the revision that they are of. */
  private write(bookId: string, write: (piece: string) => void): Promise<number> {
    return this.database.transaction('REPEATABLE READ', async (manager) => {
      const book = await manager.getRepository(Books).findOneBy({ id: bookId });
      if (book === null) throw new ProblemError([problem('not-found')]);
      const { revision } = book;
      write(`{"revision":${revision},"rows":`);
      await writeRowsAsJson(manager, bookId, write);
      write('}');
      return revision;
    });
  }

  /** Where two have read at once, the later revision stays. A book that was removed meanwhile has nothing kept. */
  private async keep(bookId: string, revision: number, packed: Buffer): Promise<void> {
    await this.database.query(
      `INSERT INTO kept_snapshots (book_id, revision, layout, packed)
       SELECT id, $2, $3, $4 FROM books WHERE id = $1 FOR KEY SHARE
       ON CONFLICT (book_id) DO UPDATE SET revision = EXCLUDED.revision, layout = EXCLUDED.layout, packed = EXCLUDED.packed
       WHERE kept_snapshots.revision < EXCLUDED.revision OR kept_snapshots.layout <> EXCLUDED.layout`,
      [bookId, revision, TABLES_LAYOUT, packed],
    );
  }
}
