import { problem, ProblemError } from '@nuvar/book';
import { Injectable } from '@nestjs/common';

/** More do not wait for one book: who comes then is asked to come again. */
const MOST_WAITING = 200;

/**
 * Lets changes of one book go one after the other. They wait here, without a connection to the database, so that a busy
 * book takes one connection and leaves the others to everybody else. Changes by another server wait for each other at the
 * row of the book.
 */
@Injectable()
export class BookQueue {
  private readonly waiting = new Map<string, { last: Promise<void>; count: number }>();

  async run<Result>(bookId: string, work: () => Promise<Result>): Promise<Result> {
    const queue = this.waiting.get(bookId) ?? { last: Promise.resolve(), count: 0 };
    if (queue.count >= MOST_WAITING) throw new ProblemError([problem('book-busy')]);
    const result = queue.last.then(work);
    queue.last = result.then(
      () => undefined,
      () => undefined,
    );
    queue.count += 1;
    this.waiting.set(bookId, queue);
    try {
      return await result;
    } finally {
      queue.count -= 1;
      if (queue.count === 0) this.waiting.delete(bookId);
    }
  }
}
