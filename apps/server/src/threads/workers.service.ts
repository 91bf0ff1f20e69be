import { problem, ProblemError } from '@nuvar/book';
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { Asker } from '../accounts/asker.js';
import { log } from '../http/logger.js';
import { Turns } from './turns.js';
import { resultOf, type Answer } from './answer.js';
import type { ReadingJob, StoringJob } from './jobs.js';

export const DATABASE_URL = Symbol('database url');

type RunOptions = { readonly signal?: AbortSignal; readonly transferList?: ArrayBuffer[] };

const READING_THREADS = 2;

/** What is not there by then is given up, in milliseconds. */
const READING_TAKES_AT_MOST = 30_000;

/** A book that needs more memory than this, in megabytes, ends its thread and nothing else. */
const MEMORY = 2_048;

/** Whoever comes while so many wait is asked to come again. */
const MOST_WAITING = 50;

/**
 * Threads for what would keep everybody else waiting: figures and book files over HTTP, and changes and book files of
 * many rows that come in. Each has its own connection to the database, so that rows need not be handed from thread to thread.
 */
@Injectable()
export class Workers implements OnApplicationShutdown {
  private readonly reading: Piscina<ReadingJob, Answer<Uint8Array>>;
  private readonly turns = new Turns(READING_THREADS);
  private readonly storingTurns = new Turns(1);
  private readonly storing: Piscina<StoringJob, Answer<number | string | null>>;

  constructor(@Inject(DATABASE_URL) private readonly databaseUrl: string) {
    this.reading = this.pool('reading.worker', { maxThreads: READING_THREADS, idleTimeout: 60_000 });
    // It keeps nothing of a book in mind, and is slow to begin: once there, it stays.
    this.storing = this.pool('storing.worker', { maxThreads: 1, idleTimeout: Infinity });
  }

  /** Has the thread ready that takes in book files, so that the first one does not wait for it. */
  async warmUp(): Promise<void> {
    await this.run(this.storing, { job: 'nothing' });
  }

  /**
   * Figures or a book file as packed (gzip) JSON text, in the turn of whoever asks; its time counts from there on. They are
   * no longer worked out once `left` says that nobody waits for them.
   */
  read(job: ReadingJob, asker: Asker, left: AbortSignal): Promise<Uint8Array> {
    const turn = { personId: asker.id, isGuest: asker.isGuest, isUrgent: job.job !== 'document' };
    const work = async () => {
      const signal = AbortSignal.any([left, AbortSignal.timeout(READING_TAKES_AT_MOST)]);
      return resultOf(await this.run(this.reading, job, { signal }));
    };
    return this.turns.run(turn, work, left);
  }

  /** Applies a change of many rows and gives the revision that it made. */
  async change(job: Extract<StoringJob, { job: 'change' }>): Promise<number> {
    return (await this.store(job)) as number;
  }

  /** Makes a book of a book file and gives its id. */
  async bookFile(job: Extract<StoringJob, { job: 'book file' }>): Promise<string> {
    return (await this.store(job)) as string;
  }

  /** Stores something in the turn of whoever sent it. It is stored to its end, whoever still waits for it. */
  private store(job: Exclude<StoringJob, { job: 'nothing' }>): Promise<number | string | null> {
    const turn = { personId: job.userId, isGuest: false, isUrgent: true };
    const work = async () => resultOf(await this.run(this.storing, job, handingOver(job.body)));
    return this.storingTurns.run(turn, work, new AbortController().signal);
  }

  async onApplicationShutdown(): Promise<void> {
    await Promise.all([this.reading.destroy(), this.storing.destroy()]);
  }

  private pool<Job, Result>(
    file: string,
    threads: { readonly maxThreads: number; readonly idleTimeout: number },
  ): Piscina<Job, Result> {
    const pool = new Piscina<Job, Result>({
      filename: fileOf(file),
      workerData: { databaseUrl: this.databaseUrl },
      minThreads: 0,
      ...threads,
      maxQueue: MOST_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY },
      // Threads run what was built, whatever the server itself was started with.
      execArgv: [],
    });
    pool.on('error', (error) => log.error({ error: String(error) }, 'a thread has failed'));
    return pool;
  }

  private async run<Job, Result>(pool: Piscina<Job, Result>, job: Job, options: RunOptions = {}): Promise<Result> {
    try {
      return await pool.run(job, options);
    } catch (error) {
      const { name, code } = error as { name?: string; code?: string };
      if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new ProblemError([problem('took-too-much')]);
      if (error instanceof Error && error.message.includes('queue is at limit'))
        throw new ProblemError([problem('busy')]);
      throw error;
    }
  }
}

/** Bytes of their own memory are handed over to the thread; those that share it with others are copied. */
const handingOver = ({ buffer, byteLength }: Uint8Array): RunOptions =>
  buffer instanceof ArrayBuffer && buffer.byteLength === byteLength ? { transferList: [buffer] } : {};

/** The built file of a worker: threads run what was built, also where this file itself is run from its source. */
function fileOf(name: string): string {
  const isSource = import.meta.url.endsWith('.ts');
  return new URL(isSource ? `../../dist/threads/${name}.js` : `./${name}.js`, import.meta.url).href;
}
