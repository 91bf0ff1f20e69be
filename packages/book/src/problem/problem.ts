import { PROBLEMS, type ProblemCode } from './catalogue.js';

/** Where a problem lies, and the values that its sentence names. */
export interface ProblemDetails {
  readonly kind?: string;
  readonly rowId?: string;
  readonly field?: string;
  readonly values?: Readonly<Record<string, string>>;
}

/** An expected failure as data: the code, the row and field concerned, and a sentence that a person can act on. */
export interface Problem extends ProblemDetails {
  readonly code: ProblemCode;
  readonly sentence: string;
}

/** Makes a problem of the catalogue; the sentence is made here, from the values. */
export function problem(code: ProblemCode, details: ProblemDetails = {}): Problem {
  const sentence = PROBLEMS[code][1].replace(/\{(\w+)\}/g, (_all, name: string) => details.values?.[name] ?? '?');
  return { code, ...details, sentence };
}

/** The HTTP status that answers a problem. */
export function statusOf(code: ProblemCode): number {
  return PROBLEMS[code][0];
}

/** Thrown where a request cannot go on; carries one or more problems. */
export class ProblemError extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map((each) => each.sentence).join(' '));
    this.name = 'ProblemError';
  }
}
