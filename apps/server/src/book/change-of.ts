import { ProblemError, readChange, type Change } from '@nuvar/book';

/** The change that a parsed body holds. Throws the problems of its shape. */
export function changeOf(body: unknown): Change {
  const change = readChange(body);
  if (Array.isArray(change)) throw new ProblemError(change);
  return change as Change;
}
