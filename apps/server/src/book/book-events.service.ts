import { problem, ProblemError } from '@nuvar/book';
import { setTimeout as pause } from 'node:timers/promises';
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Client } from 'pg';
import { Observable, type Subscriber } from 'rxjs';
import { DataSource } from 'typeorm';
import { log } from '../http/logger.js';
import { DATABASE_URL } from '../threads/workers.service.js';

/** The revisions that books have come to, by the id of the book. */
export interface Revisions {
  readonly revisions: Readonly<Record<string, number>>;
}

/** Somebody who listens, by the session in which they do. */
interface Listener {
  readonly userId: string;
  readonly sessionId: string;
  readonly subscriber: Subscriber<{ type?: string; data: Revisions | '' }>;
}

/** A word every so often keeps proxies from closing a quiet connection, and shows which sessions have ended. */
const HEARTBEAT = 25_000;

/** Connections of one person: a browser holds one, whatever tabs it has. Who asks for more is asked to come again. */
const MOST_OF_ONE = 20;

/** In milliseconds: a database that does not answer is away. */
const CONNECTION_TIMEOUTS = { connectionTimeoutMillis: 10_000, query_timeout: 10_000 } as const;

/** The pauses before the next try to reach the database, which grow up to the last one. */
const PAUSES = [200, 500, 1_000, 2_000, 5_000, 10_000, 20_000];

/**
 * Tells open pages of new revisions. PostgreSQL carries the news, so that it reaches the pages of every server. Who is a
 * member is looked at when something is told: who was taken out of a book hears nothing more of it. After a break all
 * that has been missed is told.
 */
@Injectable()
export class BookEvents implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly listeners = new Set<Listener>();
  private readonly stopping = new AbortController();
  private client: Client | null = null;
  private heartbeat: NodeJS.Timeout | undefined;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(DATABASE_URL) private readonly url: string,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.connect();
    this.heartbeat = setInterval(() => void this.beat(), HEARTBEAT).unref();
  }

  /**
   * What a person hears: the revisions of all their books at first, and then whatever becomes another. Throws `busy` where they
   * listen too often already.
   */
  listen(userId: string, sessionId: string): Observable<{ type?: string; data: Revisions | '' }> {
    const own = [...this.listeners].filter((each) => each.userId === userId).length;
    if (own >= MOST_OF_ONE) throw new ProblemError([problem('busy')]);
    return new Observable((subscriber) => {
      const listener = { userId, sessionId, subscriber };
      this.listeners.add(listener);
      void this.tellAll([listener]);
      return () => this.listeners.delete(listener);
    });
  }

  beforeApplicationShutdown(): void {
    this.stopping.abort();
    clearInterval(this.heartbeat);
    for (const { subscriber } of [...this.listeners]) subscriber.complete();
    void this.client?.end().catch(() => undefined);
  }

  private async connect(): Promise<void> {
    const client = new Client({ connectionString: this.url, keepAlive: true, ...CONNECTION_TIMEOUTS });
    client.on('notification', ({ payload = '' }) => {
      const [bookId = '', revision = '0'] = payload.split(' ');
      void this.tell(bookId, Number(revision));
    });
    client.on('error', () => undefined);
    client.once('end', () => void this.reconnect(client));
    await client.connect();
    await client.query('LISTEN book_changed');
    this.client = client;
  }

  /** Tries until the database is there again, and then tells everybody how far their books have come meanwhile. */
  private async reconnect(lost: Client): Promise<void> {
    if (this.client !== lost || this.stopping.signal.aborted) return;
    this.client = null;
    log.warn('lost the connection that tells of new revisions; trying again');
    for (let tries = 0; ; tries += 1) {
      await pause(PAUSES[Math.min(tries, PAUSES.length - 1)], undefined, { signal: this.stopping.signal }).catch(
        () => undefined,
      );
      if (this.stopping.signal.aborted) return;
      try {
        await this.connect();
        break;
      } catch (error) {
        log.warn({ error: String(error) }, 'no connection yet that tells of new revisions');
      }
    }
    log.warn('new revisions are told again');
    await this.tellAll([...this.listeners]);
  }

  private async tell(bookId: string, revision: number): Promise<void> {
    const userIds = [...new Set([...this.listeners].map(({ userId }) => userId))];
    if (userIds.length === 0) return;
    const found = await this.asked<{ userId: string }>(
      `SELECT user_id AS "userId" FROM members WHERE book_id = $1 AND user_id = ANY($2::uuid[])`,
      [bookId, userIds],
    );
    const members = new Set(found?.map(({ userId }) => userId));
    for (const { userId, subscriber } of this.listeners)
      if (members.has(userId)) subscriber.next({ data: { revisions: { [bookId]: revision } } });
  }

  private async tellAll(listeners: readonly Listener[]): Promise<void> {
    const found = await this.asked<{ userId: string; bookId: string; revision: number }>(
      `SELECT user_id AS "userId", book_id AS "bookId", revision FROM members JOIN books ON books.id = book_id
       WHERE user_id = ANY($1::uuid[])`,
      [[...new Set(listeners.map(({ userId }) => userId))]],
    );
    for (const { userId, subscriber } of listeners) {
      const own = (found ?? [])
        .filter((each) => each.userId === userId)
        .map(({ bookId, revision }) => [bookId, revision]);
      subscriber.next({ data: { revisions: Object.fromEntries(own) as Record<string, number> } });
    }
  }

  /** Says a word to everybody whose session still lasts, and ends the others. */
  private async beat(): Promise<void> {
    // A connection that has gone without a word is found by asking something of it.
    const client = this.client;
    if (client !== null) await client.query('SELECT 1').catch(() => client.end());
    const listeners = [...this.listeners];
    const found = await this.asked<{ sid: string }>(
      'SELECT sid FROM sessions WHERE sid = ANY($1::text[]) AND expire > now()',
      [listeners.map(({ sessionId }) => sessionId)],
    );
    const lasting = found && new Set(found.map(({ sid }) => sid));
    for (const { sessionId, subscriber } of listeners) {
      if (lasting?.has(sessionId) === false) subscriber.complete();
      else subscriber.next({ type: 'heartbeat', data: '' });
    }
  }

  /** What the database answers; null where it is away: what was missed is told when it is back. */
  private async asked<Row>(sql: string, values: readonly unknown[]): Promise<readonly Row[] | null> {
    try {
      return await this.database.query(sql, [...values]);
    } catch (error) {
      log.warn({ error: String(error) }, 'news could not be told');
      return null;
    }
  }
}
