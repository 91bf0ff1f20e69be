import { problem, ProblemError } from '@nuvar/book';
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { log } from '../http/logger.js';
import { resultOf, type Answer } from './answer.js';
import type { FiguresJob, StoringJob } from './jobs.js';

export const DATABASE_URL = Symbol('database url');

/** Figures that are not there by then are given up. */
const FIGURES_TAKE_AT_MOST = 30_000;

/** A book that needs more memory than this, in megabytes, ends its thread and nothing else. */
const MEMORY = 2_048;

/** Whoever comes while so many wait is asked to come again. */
const MOST_WAITING = 50;

/**
 * Threads for what would keep everybody else waiting: the figures of a book over HTTP, and changes and book files of
 * many rows. Each has its own connection to the database, so that rows need not be handed from thread to thread.
 */
@Injectable()
export class Workers implements OnApplicationShutdown {
  private readonly figuring: Piscina<FiguresJob, Answer<string>>;
  private readonly storing: Piscina<StoringJob, Answer<number | string>>;

  constructor(@Inject(DATABASE_URL) private readonly databaseUrl: string) {
    this.figuring = this.pool('figures.worker', 2);
    this.storing = this.pool('storing.worker', 1);
  }

  /** Figures as JSON text. They are no longer worked out once `left` says that nobody waits for them. */
  async figures(job: FiguresJob, left: AbortSignal): Promise<string> {
    const signal = AbortSignal.any([left, AbortSignal.timeout(FIGURES_TAKE_AT_MOST)]);
    return resultOf(await this.run(this.figuring, job, { signal }));
  }

  /** Applies a change of many rows and gives the revision that it made. */
  async change(job: Extract<StoringJob, { job: 'change' }>): Promise<number> {
    return resultOf(await this.run(this.storing, job)) as number;
  }

  /** Makes a book of a book file and gives its id. */
  async bookFile(job: Extract<StoringJob, { job: 'book file' }>): Promise<string> {
    return resultOf(await this.run(this.storing, job)) as string;
  }

  async onApplicationShutdown(): Promise<void> {
    await Promise.all([this.figuring.destroy(), this.storing.destroy()]);
  }

  private pool<Job, Result>(file: string, most: number): Piscina<Job, Result> {
    const pool = new Piscina<Job, Result>({
      filename: fileOf(file),
      workerData: { databaseUrl: this.databaseUrl },
      minThreads: 0,
      maxThreads: most,
      idleTimeout: 60_000,
      maxQueue: MOST_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY },
      // Threads run what was built, whatever the server itself was started with.
      execArgv: [],
    });
    pool.on('error', (error) => log.error({ error: String(error) }, 'a thread has failed'));
    return pool;
  }

  private async run<Job, Result>(
    pool: Piscina<Job, Result>,
    job: Job,
    options: { signal?: AbortSignal } = {},
  ): Promise<Result> {
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

/** The built file of a worker: threads run what was built, also where this file itself is run from its source. */
function fileOf(name: string): string {
  const isSource = import.meta.url.endsWith('.ts');
  return new URL(isSource ? `../../dist/work/${name}.js` : `./${name}.js`, import.meta.url).href;
}
