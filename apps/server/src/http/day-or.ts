import { isDay, problem, ProblemError } from '@nuvar/book';

/** A day of a query, or another where none is given. Throws `invalid-field` where it is no day. */
export function dayOr(field: string, text: string | undefined, otherwise: string): string {
  const day = text ?? otherwise;
  if (isDay(day)) return day;
  throw new ProblemError([
    problem('invalid-field', { field, values: { detail: `"${field}" must be a day such as 2026-03-31.` } }),
  ]);
}
