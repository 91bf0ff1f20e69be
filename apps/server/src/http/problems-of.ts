import { problem, ProblemError, type Problem } from '@nuvar/book';
import { HttpException } from '@nestjs/common';
import { isBusy, isDatabaseAway } from '../database/database-error.js';

/** What was thrown as problems of the catalogue; null where nobody expected it. */
export function problemsOf(thrown: unknown): readonly Problem[] | null {
  if (thrown instanceof ProblemError) return thrown.problems;
  if (isDatabaseAway(thrown)) return [problem('database-away')];
  if (isBusy(thrown)) return [problem('book-busy')];
  const status = thrown instanceof HttpException ? thrown.getStatus() : statusOfError(thrown);
  if (status === 404) return [problem('not-found')];
  if (status === 413) return [problem('too-large', { values: { limit: 'a few megabytes' } })];
  return status !== null && status >= 400 && status < 500
    ? [problem('malformed-request', { values: { detail: 'it is not what belongs here' } })]
    : null;
}

/** The status that the parser of a body or of an address gives its errors. */
function statusOfError(thrown: unknown): number | null {
  return typeof thrown === 'object' && thrown !== null && 'status' in thrown && typeof thrown.status === 'number'
    ? thrown.status
    : null;
}
