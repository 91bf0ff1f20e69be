import { nameKey, newId, problem, ProblemError } from '@nuvar/book';
import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { Asker } from '../accounts/asker.js';
import { Workers } from '../threads/workers.service.js';
import type { BaselineRequest } from './requests.js';
import { takeBytes } from './room.js';

/** A baseline as a list of them shows it. */
export interface BaselineSummary {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** The day as of which its figures are worked out. */
  readonly day: string;
  readonly revision: number;
  readonly madeAt: string;
  /** Null where whoever made it has no account any more. */
  readonly madeBy: string | null;
}

/** So many baselines a book keeps at most. */
const MOST = 30;

/** Baselines: books as they were when somebody froze them, kept under a name and a day beside the book. They never change. */
@Injectable()
export class BaselinesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(Workers) private readonly workers: Workers,
  ) {}

  list(bookId: string): Promise<BaselineSummary[]> {
    return this.database.query(
      `SELECT baselines.id, baselines.name, note, to_char(day, 'YYYY-MM-DD') AS day, revision, made_at AS "madeAt",
        users.name AS "madeBy" FROM baselines LEFT JOIN users ON users.id = made_by WHERE book_id = $1
       ORDER BY made_at DESC, baselines.id`,
      [bookId],
    );
  }

  /** Keeps the book as it is. Throws `name-taken` and `too-many-baselines`. */
  async freeze(bookId: string, asker: Asker, { name, note, day }: BaselineRequest): Promise<BaselineSummary[]> {
    const known: { nameKey: string }[] = await this.database.query(
      'SELECT name_key AS "nameKey" FROM baselines WHERE book_id = $1',
      [bookId],
    );
    if (known.some((each) => each.nameKey === nameKey(name)))
      throw new ProblemError([problem('name-taken', { values: { kind: 'baseline', name } })]);
    if (known.length >= MOST)
      throw new ProblemError([problem('too-many-baselines', { values: { most: String(MOST) } })]);
    const job = { job: 'freeze', bookId, id: newId(), userId: asker.id, name: name.trim(), note, day } as const;
    await this.workers.read(job, asker, new AbortController().signal);
    return this.list(bookId);
  }

  /** Throws `not-found` where there is no such baseline in the book. */
  async remove(bookId: string, id: string): Promise<BaselineSummary[]> {
    const [removed] = (await this.database.query(
      'DELETE FROM baselines WHERE book_id = $1 AND id = $2 RETURNING length(packed) AS bytes',
      [bookId, id],
    )) as [{ bytes: number }[]];
    const [gone] = removed;
    if (gone === undefined) throw new ProblemError([problem('not-found')]);
    await takeBytes(this.database.manager, bookId, -gone.bytes);
    return this.list(bookId);
  }
}
