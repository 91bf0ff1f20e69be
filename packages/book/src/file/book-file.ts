import { bookRows, withoutVersion, type BookRows, type RowsByKind, type StoredRow } from '../change/index.js';
import { ruleProblems } from '../change/rules.js';
import { isKind, KIND_NAMES, type Kind } from '../kinds.js';
import { problem, type Problem } from '../problem/index.js';
import { completeRow, validateRow } from '../validate-row.js';

/** The format that this version writes. Older ones are brought up by `UPGRADERS`, newer ones are refused. */
export const BOOK_FILE_VERSION = 1;

/** A whole book as one file (`*.nuvar.json`): its rows by kind, without versions and history. */
export interface BookFile {
  readonly format: 'nuvar-book';
  readonly version: number;
  readonly rows: Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;
}

/** Step n turns a file of format n into one of format n + 1. */
const UPGRADERS: Readonly<Record<number, (file: BookFile) => BookFile>> = {};

/** Writes the rows of a book as a book file. */
export function writeBookFile(rows: Pick<BookRows, 'all'>): BookFile {
  const byKind = KIND_NAMES.map(
    (kind) => [kind, rows.all(kind).map((row) => withoutVersion(row as StoredRow))] as const,
  );
  return { format: 'nuvar-book', version: BOOK_FILE_VERSION, rows: Object.fromEntries(byKind) };
}

/**
 * Reads a book file. Every row is held against its class and every rule against the whole; the first 50 problems are
 * reported, and then nothing of the file is taken.
 */
export function readBookFile(input: unknown): BookRows | Problem[] {
  const refuse = (detail: string) => [problem('not-a-book-file', { values: { detail } })];
  if (typeof input !== 'object' || input === null) return refuse('it holds no object');
  const given = input as Partial<BookFile>;
  if (given.format !== 'nuvar-book' || !Number.isInteger(given.version))
    return refuse('it does not say format "nuvar-book" and a version');
  if ((given.version as number) > BOOK_FILE_VERSION)
    return [problem('newer-book-file', { values: { version: String(given.version) } })];
  const file = upgrade(given as BookFile);
  if (typeof file.rows !== 'object' || file.rows === null) return refuse('it holds no rows');
  const strange = Object.keys(file.rows).find((kind) => !isKind(kind) || !Array.isArray(file.rows[kind]));
  if (strange !== undefined) return refuse(`"${strange.slice(0, 60)}" is not a list of rows of a known kind`);
  if (file.rows.settings?.length !== 1) return refuse('it needs exactly one row of settings');
  return checkedRows(file);
}

function upgrade(file: BookFile): BookFile {
  const step = UPGRADERS[file.version];
  return step === undefined ? file : upgrade(step(file));
}

function checkedRows(file: BookFile): BookRows | Problem[] {
  const problems: Problem[] = [];
  const complete: Partial<Record<Kind, StoredRow[]>> = {};
  for (const kind of KIND_NAMES) {
    const seen = new Set<string>();
    complete[kind] = (file.rows[kind] ?? []).map((given) => {
      const row = { ...completeRow(kind, given), version: 1 } as StoredRow;
      if (problems.length < 50) problems.push(...validateRow(kind, withoutVersion(row)));
      if (seen.has(row.id)) problems.push(problem('row-exists', { kind, rowId: row.id, values: { kind } }));
      seen.add(row.id);
      return row;
    });
  }
  if (problems.length > 0) return problems;
  const rows = bookRows(complete as unknown as RowsByKind);
  for (const kind of KIND_NAMES) {
    if (kind === 'settings') continue;
    for (const row of rows.all(kind)) {
      if (problems.length < 50)
        problems.push(...ruleProblems(rows, { kind, id: row.id, before: null, after: row as StoredRow }));
    }
  }
  return problems.length > 0 ? problems : rows;
}
