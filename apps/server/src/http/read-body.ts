import { problem, ProblemError } from '@nuvar/book';
import type { Request } from 'express';

/** A body may take so long, in milliseconds, whatever its length ... */
const GRACE = 10_000;
/** ... and after that has to have come at so many bytes a second on the whole. */
const LEAST_RATE = 4 * 1024;
/** How often the rate is looked at, in milliseconds. */
const LOOK = 2_000;

/**
 * The bytes of a body as they come. `take` is told of each piece, and may refuse it. Throws `too-large`, `too-slow`, and
 * `malformed-request` for what is not plain JSON: a packed body would have to be unpacked before anybody knows how long it is.
 */
export function readBody(request: Request, limit: number, take: (bytes: number) => void): Promise<Buffer> {
  if (request.is('application/json') === false) throw malformed('its content type is not application/json');
  if ((request.get('content-encoding') ?? 'identity') !== 'identity') throw malformed('it is packed; send it as it is');
  if (Number(request.get('content-length') ?? 0) > limit) throw tooLarge(limit);
  const pieces: Buffer[] = [];
  let length = 0;
  const begun = performance.now();
  return new Promise((done, fail) => {
    const end = (act: () => void) => {
      clearInterval(watch);
      request.removeAllListeners('data');
      act();
    };
    const watch = setInterval(() => {
      const elapsed = performance.now() - begun;
      if (elapsed > GRACE && (length * 1000) / elapsed < LEAST_RATE)
        end(() => fail(new ProblemError([problem('too-slow')])));
    }, LOOK);
    request.on('data', (piece: Buffer) => {
      length += piece.length;
      try {
        if (length > limit) throw tooLarge(limit);
        take(piece.length);
        pieces.push(piece);
      } catch (error) {
        end(() => fail(error as Error));
      }
    });
    request.on('end', () => end(() => done(Buffer.concat(pieces, length))));
    request.on('error', (error) => end(() => fail(error)));
    request.on('aborted', () => end(() => fail(Object.assign(new Error('left early'), { type: 'request.aborted' }))));
  });
}

const malformed = (detail: string) => new ProblemError([problem('malformed-request', { values: { detail } })]);

const tooLarge = (limit: number) =>
  new ProblemError([
    problem('too-large', {
      values: { limit: limit < 1024 * 1024 ? `${limit / 1024} kB` : `${limit / (1024 * 1024)} MB` },
    }),
  ]);
