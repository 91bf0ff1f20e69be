import type { Asker } from '../accounts/asker.js';
import { newId, problem, ProblemError } from '@nuvar/book';
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { log } from '../http/logger.js';
import { Workers } from '../threads/workers.service.js';
import type { DocumentRequest } from './requests.js';

/** How far a document has come. */
export interface DocumentJob {
  readonly id: string;
  readonly state: 'under way' | 'ready' | 'failed' | 'cancelled';
  /** In percent. */
  readonly progress: number;
  readonly name: string;
  /** Why it failed, in a sentence. */
  readonly problem: string | null;
}

const TYPES = {
  pdf: 'application/pdf',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  csv: 'text/csv; charset=utf-8',
} as const;

/** A document that was not fetched goes after an hour; one that is under way for so long has been lost with its server. */
const KEPT = "interval '1 hour'";

/**
 * Documents as jobs: begun by one request, followed by others, fetched when they are ready. They are made by a thread and
 * kept in the database, so that any server can answer for them.
 */
@Injectable()
export class DocumentsService implements OnApplicationShutdown {
  private readonly underWay = new Map<string, AbortController>();

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(Workers) private readonly workers: Workers,
  ) {}

  async begin(bookId: string, asker: Asker, request: DocumentRequest, day: string): Promise<DocumentJob> {
    const id = newId();
    const name = `${request.document.replaceAll(' ', '-')}.${request.format}`;
    await this.database.query(`DELETE FROM document_jobs WHERE begun_at < now() - ${KEPT}`);
    await this.database.query(
      `INSERT INTO document_jobs (book_id, id, state, progress, name, type, user_id)
       VALUES ($1, $2, 'under way', 0, $3, $4, $5)`,
      [bookId, id, name, TYPES[request.format], asker.id],
    );
    void this.make(bookId, id, asker, request, day);
    return this.job(bookId, id);
  }

  /** Throws `not-found` where there is no such job in the book. */
  async job(bookId: string, id: string): Promise<DocumentJob> {
    const found: DocumentJob[] = await this.database.query(
      'SELECT id, state, progress, name, problem FROM document_jobs WHERE book_id = $1 AND id = $2',
      [bookId, id],
    );
    if (found[0] === undefined) throw new ProblemError([problem('not-found')]);
    return found[0];
  }

  /** The document itself. Throws `not-found` while it is not ready. */
  async file(
    bookId: string,
    id: string,
  ): Promise<{ readonly name: string; readonly type: string; readonly file: Buffer }> {
    const found: { name: string; type: string; file: Buffer }[] = await this.database.query(
      `SELECT name, type, file FROM document_jobs WHERE book_id = $1 AND id = $2 AND state = 'ready'`,
      [bookId, id],
    );
    if (found[0] === undefined) throw new ProblemError([problem('not-found')]);
    return found[0];
  }

  /**
   * Nobody waits for the document any more: it is no longer made where it is made here, and not kept anywhere. `maker` is who
   * has to have begun it, where that matters. Throws `not-found` where there is no such job.
   */
  async cancel(bookId: string, id: string, maker: string | null): Promise<DocumentJob> {
    const ended: unknown[] = await this.database.query(
      `WITH ended AS (UPDATE document_jobs SET state = 'cancelled', file = NULL
         WHERE book_id = $1 AND id = $2 AND ($3::uuid IS NULL OR user_id = $3) RETURNING id) SELECT id FROM ended`,
      [bookId, id, maker],
    );
    if (ended.length === 0) throw new ProblemError([problem('not-found')]);
    this.underWay.get(id)?.abort();
    return this.job(bookId, id);
  }

  onApplicationShutdown(): void {
    this.underWay.forEach((each) => each.abort());
  }

  private async make(
    bookId: string,
    id: string,
    asker: Asker,
    { document, of, format }: DocumentRequest,
    day: string,
  ): Promise<void> {
    const left = new AbortController();
    this.underWay.set(id, left);
    try {
      const [person]: { name: string }[] = await this.database.query('SELECT name FROM users WHERE id = $1', [
        asker.id,
      ]);
      const by = person?.name ?? '';
      await this.workers.read({ job: 'document', bookId, day, document, of, format, id, by }, asker, left.signal);
    } catch (error) {
      if (!(error instanceof ProblemError)) log.error({ error: String(error) }, 'a document has failed');
      const [first = problem('server-error')] = error instanceof ProblemError ? error.problems : [];
      await this.database
        .query(
          `UPDATE document_jobs SET state = 'failed', problem = $3 WHERE book_id = $1 AND id = $2 AND state = 'under way'`,
          [bookId, id, first.sentence],
        )
        .catch((failure: unknown) => log.error({ error: String(failure) }, 'a failed document could not be noted'));
    } finally {
      this.underWay.delete(id);
    }
  }
}
