import 'reflect-metadata';
import { constants, gzipSync } from 'node:zlib';
import { bookRows, problem, ProblemError, writeBookFile, type BookFile } from '@nuvar/book';
import { evaluate, isViewName, reportOf, VIEWS, WHOLE_BOOK, type Evaluation } from '@nuvar/core';
import { keepFrozen, readFrozen } from '../book/frozen-rows.js';
import { SnapshotsService } from '../book/snapshots.service.js';
import type { DataSource } from 'typeorm';
import { sidesOf, type SideSources } from '../documents/comparison-sides.js';
import { makeDocument } from '../documents/make-document.js';
import { statesAsOf } from '../ledgers/ledger-pages.js';
import { answerOf, handedOver, type Answer } from './answer.js';
import { connection } from './connection.js';
import type { DocumentJob, FiguresJob, FreezingJob, ReadingJob } from './jobs.js';

const connected = connection();

/** The evaluation that was asked for last: scripts ask for many figures of one book. */
let last: { readonly key: string; readonly evaluation: Evaluation } | null = null;

/**
 * Works out figures of a book, or its book file, and gives them as packed (gzip) JSON text. The figures of a large book
 * are a hundred megabytes: they are packed here, and handed over without being copied.
 */
export default async function read(job: ReadingJob): Promise<Answer<Uint8Array<ArrayBuffer>>> {
  const answer = await answerOf(async () => packed(await resultOf(job)));
  return answer.ok ? handedOver(answer, answer.result.buffer) : answer;
}

function resultOf(job: ReadingJob): Promise<unknown> {
  switch (job.job) {
    case 'figures':
      return figuresOf(job);
    case 'document':
      return documentOf(job);
    case 'book file':
      return fileOf(job.bookId);
    case 'freeze':
      return freeze(job);
    case 'baseline':
      return connected().then(({ manager }) => readFrozen(manager, job.bookId, job.id));
  }
}

/** Makes a document and keeps it for whoever asked for it, unless they have given it up; says on the way how far it is. */
async function documentOf({ bookId, day, id, ...asked }: DocumentJob): Promise<null> {
  const database = await connected();
  const isAt = (percent: number) =>
    database.query('UPDATE document_jobs SET progress = $3 WHERE book_id = $1 AND id = $2', [bookId, id, percent]);
  const evaluation = await evaluationOf(bookId, day);
  await isAt(40);
  const sides = asked.document === 'comparison' ? await sidesOf(evaluation, asked.of, sourcesOf(database, bookId)) : [];
  const file = await makeDocument(evaluation, asked, sides);
  await isAt(95);
  await database.query(
    `UPDATE document_jobs SET state = 'ready', progress = 100, file = $3 WHERE book_id = $1 AND id = $2 AND state = 'under way'`,
    [bookId, id, file],
  );
  return null;
}

const sourcesOf = ({ manager }: DataSource, bookId: string): SideSources => ({
  frozen: (id) => readFrozen(manager, bookId, id),
  statesOn: (day) => statesAsOf(manager, bookId, day),
});

async function fileOf(bookId: string): Promise<BookFile> {
  const { rows } = await new SnapshotsService(await connected()).read(bookId);
  return writeBookFile(bookRows(rows));
}

async function freeze(job: FreezingJob): Promise<null> {
  const { bookId, day } = job;
  const database = await connected();
  const { revision, rows } = await new SnapshotsService(database).read(bookId);
  await keepFrozen(database.manager, job, revision, rows, await statesAsOf(database.manager, bookId, day));
  return null;
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
    const rows = { ...snapshot.rows, ...(await statesAsOf((await connected()).manager, bookId, day)) };
    last = { key: `${bookId} ${snapshot.revision} ${day}`, evaluation: evaluate(rows, day) };
  }
  return last.evaluation;
}
