import { quillfernBudget, quillfernPottery } from '@nuvar/book/demo';
import { Inject, Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { newId, problem, ProblemError, readBookFile, rowsByKind } from '@nuvar/book';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service.js';
import { Limits } from '../accounts/limits.js';
import { RemovalService } from '../book/removal.service.js';
import { keepFrozen } from '../book/frozen-rows.js';
import { statesAsOf } from '../ledgers/ledger-pages.js';
import { refuseFullDemo } from '../book/room.js';
import { BooksService } from '../book/books.service.js';
import type { User } from '../database/entities.js';
import { log } from '../http/logger.js';
import { TODAY, type Today } from '../http/today.js';

const EVERY_HOUR = 60 * 60 * 1000;

/**
 * The demo: each visitor is a guest with a copy of the demo book of their own, laid on today, which nobody else sees. Guests go with
 * their books when their last session has run out. `NUVAR_DEMO=off` turns it off.
 */
@Injectable()
export class DemoService implements OnApplicationBootstrap, OnApplicationShutdown {
  readonly isOn = process.env.NUVAR_DEMO !== 'off';
  private timer: NodeJS.Timeout | undefined;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(AccountsService) private readonly accounts: AccountsService,
    @Inject(BooksService) private readonly books: BooksService,
    @Inject(Limits) private readonly limits: Limits,
    @Inject(RemovalService) private readonly removal: RemovalService,
    @Inject(TODAY) private readonly today: Today,
  ) {}

  /** Makes a guest with a demo book. Throws `demo-off`, or `too-many-tries` where too many have come. */
  async newGuest(network: string): Promise<User> {
    if (!this.isOn) throw new ProblemError([problem('demo-off')]);
    await refuseFullDemo(this.database.manager);
    await this.limits.countGuest(network);
    const guest = await this.accounts.makeGuest();
    const bookId = await this.books.takeIn(guest.id, quillfernPottery(this.today()));
    await this.freezeBudget(bookId, guest.id);
    return guest;
  }

  /** Keeps what the studio budgeted as a baseline of the demo book, so that there is something to compare with. */
  private async freezeBudget(bookId: string, userId: string): Promise<void> {
    const read = readBookFile(quillfernBudget(this.today()));
    if (!read.ok) throw new ProblemError(read.problems);
    const day = this.today();
    const { manager } = this.database;
    // The settings of a book bear its own id.
    const rows = rowsByKind(read.rows);
    const settings = rows.settings.map((row) => ({ ...row, id: bookId }));
    const baseline = { bookId, id: newId(), userId, name: 'Budget', note: 'as decided in the summer', day };
    const states = await statesAsOf(manager, bookId, day);
    await keepFrozen(manager, baseline, 1, { ...rows, settings }, states);
  }

  onApplicationBootstrap(): void {
    const remove = () =>
      void this.removeExpired().catch((error: unknown) =>
        log.warn({ error: String(error) }, 'expired guests were not removed'),
      );
    remove();
    this.timer = setInterval(remove, EVERY_HOUR).unref();
  }

  onApplicationShutdown(): void {
    clearInterval(this.timer);
  }

  /** Removes the guests whose last session has run out, with their books: first these, and when they are gone the guest too. */
  async removeExpired(): Promise<void> {
    const bookIds = await this.database.transaction(async (manager) => {
      const gone: { id: string }[] = await manager.query(
        `SELECT id FROM users WHERE kind = 'guest' AND created_at < now() - interval '1 hour' AND NOT EXISTS
           (SELECT 1 FROM sessions WHERE sess ->> 'userId' = users.id::text AND expire > now()) FOR UPDATE SKIP LOCKED`,
      );
      const ids = gone.map(({ id }) => id);
      const books: { id: string }[] = await manager.query(
        'SELECT book_id AS id FROM members WHERE user_id = ANY($1::uuid[])',
        [ids],
      );
      // Who is named in the journal of a book that is still being removed goes another time.
      await manager.query(
        `DELETE FROM users WHERE id = ANY($1::uuid[]) AND NOT EXISTS (SELECT 1 FROM journal WHERE user_id = users.id)
           AND NOT EXISTS (SELECT 1 FROM members WHERE user_id = users.id)`,
        [ids],
      );
      return books.map(({ id }) => id);
    });
    if (bookIds.length > 0) await this.removal.remove(bookIds);
  }
}
