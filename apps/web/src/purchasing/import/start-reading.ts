import { startJob } from '../../engine/job.js';
import type { ReadSource } from './read-file.js';
import type { ReadAnswer } from './read.worker.js';

/** A file that takes longer to read, in milliseconds, is no price list. */
const LONGEST = 10_000;

/** What becomes of a file that is being read. */
export interface ReadingEnds {
  readonly read: (source: ReadSource) => void;
  readonly refused: (sentence: string) => void;
}

/** Reads a file beside the page, which stays alive meanwhile. Returns how to stop it; a reading that was stopped says nothing more. */
export function startReading(file: File, ends: ReadingEnds): () => void {
  const worker = new Worker(new URL('./read.worker.ts', import.meta.url), { type: 'module' });
  return startJob<File, ReadAnswer>(worker, file, {
    isAnswer: () => true,
    said: (answer) => ('source' in answer ? ends.read(answer.source) : ends.refused(answer.refused)),
    died: () => ends.refused(`${file.name} could not be read: it takes more memory than there is, or it is broken.`),
    tookTooLong: {
      after: LONGEST,
      then: () =>
        ends.refused(
          `${file.name} takes more than ten seconds to read and was given up. Save only the sheet you need, and try again.`,
        ),
    },
  }).stop;
}
