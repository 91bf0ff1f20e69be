import { ProblemError, type Problem } from '@nuvar/book';

/** A conflict: the problems, and the newer rows that the person has to see to choose. */
export class ConflictError extends ProblemError {
  constructor(
    problems: readonly Problem[],
    readonly rows: readonly { readonly kind: string; readonly row: object | null }[],
  ) {
    super(problems);
  }
}
