import 'reflect-metadata';
import { constants, gzipSync } from 'node:zlib';
import { bookRows, problem, ProblemError, writeBookFile, type BookFile } from '@nuvar/book';
import { evaluate, isViewName, reportOf, VIEWS, WHOLE_BOOK, type Evaluation } from '@nuvar/core';
import { SnapshotsService } from '../book/snapshots.service.js';
import { answerOf, handedOver, type Answer } from './answer.js';
import { connection } from './connection.js';
import type { FiguresJob, ReadingJob } from './jobs.js';

const connected = connection();

/** The evaluation that was asked for last: scripts ask for many figures of one book. */
let last: { readonly key: string; readonly evaluation: Evaluation } | null = null;

/**
 * Works out figures of a book, or its book file, and gives them as packed (gzip) JSON text. The figures of a large book
 * are a hundred megabytes: they are packed here, and handed over without being copied.
 */
export default async function read(job: ReadingJob): Promise<Answer<Uint8Array<ArrayBuffer>>> {
  const answer = await answerOf(async () =>
    packed(await (job.job === 'figures' ? figuresOf(job) : fileOf(job.bookId))),
  );
  return answer.ok ? handedOver(answer, answer.result.buffer) : answer;
}

async function fileOf(bookId: string): Promise<BookFile> {
  const { rows } = await new SnapshotsService(await connected()).read(bookId);
  return writeBookFile(bookRows(rows));
}

const packed = (told: unknown): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(gzipSync(JSON.stringify(told), { level: constants.Z_BEST_SPEED }));

async function figuresOf({ bookId, day, view, of }: FiguresJob): Promise<unknown> {
  const evaluation = await evaluationOf(bookId, day);
  if (view === null) return reportOf(evaluation);
  if (!isViewName(view)) throw new ProblemError([problem('not-found')]);
  return VIEWS[view](evaluation, of === 'all' ? WHOLE_BOOK : of);
}

async function evaluationOf(bookId: string, day: string): Promise<Evaluation> {
  const snapshots = new SnapshotsService(await connected());
  const revision = await snapshots.revisionOf(bookId);
  const key = `${bookId} ${revision} ${day}`;
  if (last?.key !== key) {
    // What was kept is let go first: two large books need not be in memory at once.
    last = null;
    const snapshot = await snapshots.read(bookId);
    last = { key: `${bookId} ${snapshot.revision} ${day}`, evaluation: evaluate(snapshot.rows, day) };
  }
  return last.evaluation;
}
