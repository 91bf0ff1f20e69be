import { Inject, Injectable } from '@nestjs/common';
import { OF_A_BOOK_FILE, OF_A_CHANGE, readJson } from '../http/read-json.js';
import { Workers } from '../threads/workers.service.js';
import { BookQueue } from './book-queue.js';
import { BooksService } from './books.service.js';
import { changeOf } from './change-of.js';
import { ChangeService } from './change.service.js';
import { SnapshotsService } from './snapshots.service.js';

/** Bytes of a body from which on a thread of its own reads it: some thousand operations, a few milliseconds of parsing. */
const LARGE = 256 * 1024;

/** Takes in what is written: small changes here, large ones and book files on a thread; those of one book in a row. */
@Injectable()
export class WritingService {
  constructor(
    @Inject(ChangeService) private readonly changes: ChangeService,
    @Inject(BooksService) private readonly books: BooksService,
    @Inject(BookQueue) private readonly queue: BookQueue,
    @Inject(Workers) private readonly workers: Workers,
    @Inject(SnapshotsService) private readonly snapshots: SnapshotsService,
  ) {}

  /** Applies the change that a body holds and returns the revision that it made. Throws its problems. */
  async change(bookId: string, userId: string, body: Uint8Array): Promise<number> {
    const revision = await (body.byteLength > LARGE
      ? this.queue.run(bookId, () => this.workers.change({ job: 'change', bookId, userId, body }))
      : this.smallChange(bookId, userId, body));
    this.snapshots.renewSoon(bookId);
    return revision;
  }

  /** Makes a new book of the book file that a body holds and returns its id. Throws the problems of the file. */
  bookFile(userId: string, body: Uint8Array): Promise<string> {
    return body.byteLength > LARGE
      ? this.workers.bookFile({ job: 'book file', userId, body })
      : this.books.takeIn(userId, readJson(body, OF_A_BOOK_FILE));
  }

  private smallChange(bookId: string, userId: string, body: Uint8Array): Promise<number> {
    const change = changeOf(readJson(body, OF_A_CHANGE));
    return this.queue.run(bookId, () => this.changes.apply(bookId, userId, change));
  }
}
