import { ProblemError, type Problem } from '@nuvar/book';
import { move, transferableSymbol, valueSymbol } from 'piscina';
import { ConflictError } from '../book/conflict-error.js';
import { problemsOf } from '../http/problems-of.js';

/** What a worker thread sends back: a result, or problems as data, since errors lose their kind on the way. */
export type Answer<Result> =
  | { readonly ok: true; readonly result: Result }
  | { readonly ok: false; readonly problems: readonly Problem[]; readonly rows: ConflictError['rows'] | null };

/** Does some work; expected failures become an answer, others are thrown. */
export async function answerOf<Result>(work: () => Promise<Result>): Promise<Answer<Result>> {
  try {
    return { ok: true, result: await work() };
  } catch (thrown) {
    const problems = problemsOf(thrown);
    if (problems === null) throw thrown;
    return { ok: false, problems, rows: thrown instanceof ConflictError ? thrown.rows : null };
  }
}

/** The answer with bytes that are handed over to the thread that asked, and gone from this one. */
export function handedOver<Whole extends object>(answer: Whole, bytes: ArrayBuffer): Whole {
  return move({ [transferableSymbol]: bytes, [valueSymbol]: answer } as never) as unknown as Whole;
}

/** The result of an answer. Throws the problems again that stood against it. */
export function resultOf<Result>(answer: Answer<Result>): Result {
  if (answer.ok) return answer.result;
  throw answer.rows === null ? new ProblemError(answer.problems) : new ConflictError(answer.problems, answer.rows);
}
