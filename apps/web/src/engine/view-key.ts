/** A view by its key: "card/…" of what is shown; "@baseline:card/…" of one evaluation; "@baseline+whatIf/…:sides/price" over several. */
export interface ViewKey {
  /** The names of the evaluations; none for what is shown. */
  readonly evaluations: readonly string[];
  readonly name: string;
  readonly id: string;
}

/** The evaluation without what is tried and without any what-if. */
export const BASELINE = 'baseline';
export const whatIfNamed = (id: string) => `whatIf/${id}`;
export const frozenNamed = (id: string) => `frozen/${id}`;
export const dayNamed = (day: string) => `day/${day}`;

/** The key of a view of one evaluation, or over several. */
export const keyOver = (evaluations: readonly string[], name: string, id: string) =>
  `@${evaluations.join('+')}:${name}/${id}` as const;

export function readViewKey(key: string): ViewKey {
  const end = key.startsWith('@') ? key.indexOf(':') : -1;
  const question = key.slice(end + 1);
  const slash = question.indexOf('/');
  return {
    evaluations: end < 0 ? [] : key.slice(1, end).split('+'),
    name: question.slice(0, slash),
    id: question.slice(slash + 1),
  };
}
