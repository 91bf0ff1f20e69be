import 'reflect-metadata';
import { BooksService } from '../book/books.service.js';
import { changeOf } from '../book/change-of.js';
import { ChangeService } from '../book/change.service.js';
import { OF_A_BOOK_FILE, OF_A_CHANGE, readJson } from '../http/read-json.js';
import { answerOf, type Answer } from './answer.js';
import { connection } from './connection.js';
import type { StoringJob } from './jobs.js';

const connected = connection();

/** Stores what has too many rows to be read beside the requests of everybody else. Gives a revision, or the id of a book. */
export default function store(job: StoringJob): Promise<Answer<number | string | null>> {
  return answerOf<number | string | null>(async () => {
    const database = await connected();
    if (job.job === 'nothing') return null;
    const changes = new ChangeService(database);
    if (job.job === 'change') return changes.apply(job.bookId, job.userId, changeOf(readJson(job.body, OF_A_CHANGE)));
    const books = new BooksService(database, changes);
    return books.takeIn(job.userId, readJson(job.body, OF_A_BOOK_FILE));
  });
}
