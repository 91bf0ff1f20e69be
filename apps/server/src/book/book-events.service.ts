import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Client } from 'pg';
import { filter, map, Subject, type Observable } from 'rxjs';
import { log } from '../http/logger.js';

/** Tells open tabs of new revisions. PostgreSQL carries the news, so that it reaches the tabs of every server. */
@Injectable()
export class BookEvents implements OnApplicationShutdown {
  private readonly news = new Subject<{ bookId: string; revision: number }>();
  private client: Client | null = null;
  private stopped = false;

  async listen(url: string): Promise<void> {
    const client = new Client({ connectionString: url });
    client.on('notification', ({ payload }) => {
      const [bookId = '', revision = '0'] = (payload ?? '').split(' ');
      this.news.next({ bookId, revision: Number(revision) });
    });
    client.on('error', (error) => {
      log.warn({ error: error.message }, 'lost the connection that tells of new revisions; trying again');
      void client.end().catch(() => undefined);
      if (!this.stopped) setTimeout(() => void this.listen(url).catch(() => undefined), 2000);
    });
    await client.connect();
    await client.query('LISTEN book_changed');
    this.client = client;
  }

  of(bookId: string): Observable<{ data: { revision: number } }> {
    return this.news.pipe(
      filter((each) => each.bookId === bookId),
      map(({ revision }) => ({ data: { revision } })),
    );
  }

  async onApplicationShutdown(): Promise<void> {
    this.stopped = true;
    this.news.complete();
    await this.client?.end();
  }
}
