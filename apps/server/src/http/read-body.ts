import { problem, ProblemError } from '@nuvar/book';

type TextFields<Name extends string> = Record<Name, string>;

/** Reads named text fields from a body; refuses what is missing, of another type, or not asked for. */
export function readTexts<Name extends string>(body: unknown, names: readonly Name[], most = 200): TextFields<Name> {
  const refuse = (field: string, detail: string) =>
    new ProblemError([problem('invalid-field', { field, values: { detail } })]);
  if (typeof body !== 'object' || body === null || Array.isArray(body)) {
    throw new ProblemError([problem('malformed-request', { values: { detail: 'it holds no object' } })]);
  }
  const given = body as Record<string, unknown>;
  const strange = Object.keys(given).find((key) => !(names as readonly string[]).includes(key));
  if (strange !== undefined)
    throw new ProblemError([
      problem('unknown-field', { field: strange, values: { kind: 'request', field: strange.slice(0, 60) } }),
    ]);
  for (const name of names) {
    const value = given[name];
    if (typeof value !== 'string' || value.trim() === '') throw refuse(name, `The ${name} cannot be empty.`);
    if (value.length > most) throw refuse(name, `The ${name} can have at most ${most} characters.`);
  }
  return given as TextFields<Name>;
}
