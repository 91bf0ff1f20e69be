import { Readable } from 'node:stream';
import type { Request, Response } from 'express';
import type { Asker } from '../accounts/asker.js';
import { sendPacked } from '../http/send-packed.js';
import type { ReadingJob } from '../threads/jobs.js';
import type { Workers } from '../threads/workers.service.js';

/** Sends what a thread has worked out of a book; where nobody waits for it any more, it is not worked out further. */
export async function sendWorkedOut(
  workers: Workers,
  job: ReadingJob,
  asker: Asker,
  request: Request,
  response: Response,
): Promise<void> {
  const left = new AbortController();
  response.once('close', () => left.abort());
  await sendPacked(request, response, Readable.from([await workers.read(job, asker, left.signal)]));
}
