import {
  bookRows,
  type BookRows,
  type RowsByKind,
  type StoredRow,
  withoutVersion,
  type Write,
} from '../change/index.js';
import { ruleProblems } from '../change/rules/index.js';
import { isKind, type Kind, STORED_KINDS } from '../kinds.js';
import { isOfBook } from '../ledgers.js';
import { problem, type Problem } from '../problem/index.js';
import { withFeeRules } from './fee-rules.js';
import { withFixedComponents } from './fixed-components.js';
import { withImportTax } from './import-tax.js';
import { withPoolsAndVolumes } from './pools-and-volumes.js';
import { completeRow, validateRow } from '../validate-row.js';

/** The format that this version writes. Older ones are brought up by `UPGRADERS`, newer ones are refused. */
export const BOOK_FILE_VERSION = 15;

/** A whole book as one file (`*.nuvar.json`): its rows by kind, without versions and history. */
export interface BookFile {
  readonly format: 'nuvar-book';
  readonly version: number;
  readonly rows: Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;
}

/** Step n turns a file of format n into one of format n + 1. */
const UPGRADERS: Readonly<Record<number, (file: BookFile) => BookFile>> = {
  // Format 2 knows waste on top and time per good unit: what format 1 says means the same.
  1: (file) => ({ ...file, version: 2 }),
  // Format 3 compares names by `nameKey`: two names that it takes for one stay as they are, and are a loose end.
  2: (file) => ({ ...file, version: 3 }),
  // Format 4 keeps with a saved card what went into its components: cards of before have only their own lines.
  3: (file) => ({ ...file, version: 4 }),
  // Format 5 knows shipments: a book of before has none.
  4: (file) => ({ ...file, version: 5 }),
  // Format 6 knows tax on purchases and the stock ledger: in a book of before there is none.
  5: (file) => ({ ...file, version: 6 }),
  // Format 7 plans units by channel, and puts running costs into pools.
  6: (file) => ({ ...file, version: 7, rows: withPoolsAndVolumes(file.rows) }),
  // Format 8 takes the fees of a channel apart.
  7: (file) => ({ ...file, version: 8, rows: withFeeRules(file.rows) }),
  // Format 9 knows mix plans and decisions: a book of before has none.
  8: (file) => ({ ...file, version: 9 }),
  // Format 10 says of import tax that it is recovered as other tax is, and keeps what was posted of a shipment.
  9: (file) => ({ ...file, version: 10, rows: withImportTax(file.rows) }),
  // Format 11 knows two rates of services, whole batches, and what a quote was sent at: a book of before has none of them.
  10: (file) => ({ ...file, version: 11 }),
  // Format 12 knows costs of a year, sheets, finished stock, cash and parts of decisions: a book of before has none of them.
  11: (file) => ({ ...file, version: 12 }),
  // Format 13 can make components beyond their stock: what was said to run short before stays a limit.
  12: (file) => ({ ...file, version: 13, rows: withFixedComponents(file.rows) }),
  // Format 14 knows mix plans of several periods: a book of before has none.
  13: (file) => ({ ...file, version: 14 }),
  // Format 15 knows what-ifs: a book of before has none.
  14: (file) => ({ ...file, version: 15 }),
};

/** Writes the rows of a book as a book file; of ledgers, those rows that are the book's own. */
export function writeBookFile(rows: Pick<BookRows, 'all'>): BookFile {
  const byKind = STORED_KINDS.map((kind) => {
    const own = rows.all(kind).filter((row) => isOfBook(kind, row));
    return [kind, own.map((row) => withoutVersion(row as StoredRow))] as const;
  });
  return { format: 'nuvar-book', version: BOOK_FILE_VERSION, rows: Object.fromEntries(byKind) };
}

/** A book file that was read, or what stands against it. */
export type ReadBookFile =
  | {
      readonly ok: true;
      readonly rows: BookRows;
      /** The format in which it was written: rules that came later are not held against its rows. */
      readonly format: number;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

const refused = (...problems: readonly Problem[]): ReadBookFile => ({ ok: false, problems });

/** More are not told: who has mended so many reads the file again. */
const MOST_PROBLEMS = 50;

/**
 * Reads a book file. Every row is held against its class and every rule of its format against the whole; the first 50
 * problems are told, and then nothing of the file is taken.
 */
export function readBookFile(input: unknown): ReadBookFile {
  const refuse = (detail: string) => refused(problem('not-a-book-file', { values: { detail } }));
  if (!isRecord(input)) return refuse('it holds no object');
  const given = input as Partial<BookFile>;
  if (given.format !== 'nuvar-book' || !Number.isInteger(given.version) || (given.version as number) < 1)
    return refuse('it does not say format "nuvar-book" and a version');
  const format = given.version as number;
  if (format > BOOK_FILE_VERSION) return refused(problem('newer-book-file', { values: { version: String(format) } }));
  const file = upgrade(given as BookFile);
  if (!isRecord(file.rows)) return refuse('it holds no rows');
  const strange = Object.keys(file.rows).find(
    (kind) => !isKind(kind) || !STORED_KINDS.includes(kind) || !isListOfRows(file.rows[kind]),
  );
  if (strange !== undefined) return refuse(`"${strange.slice(0, 60)}" is not a list of rows of a known kind`);
  if (file.rows.settings?.length !== 1) return refuse('it needs exactly one row of settings');
  return checkedRows(file, format);
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isListOfRows = (value: unknown) => Array.isArray(value) && value.every(isRecord);

function upgrade(file: BookFile): BookFile {
  const step = UPGRADERS[file.version];
  return step === undefined ? file : upgrade(step(file));
}

function checkedRows(file: BookFile, format: number): ReadBookFile {
  const problems: Problem[] = [];
  const complete: Partial<Record<Kind, StoredRow[]>> = {};
  for (const kind of STORED_KINDS) {
    const seen = new Set<string>();
    complete[kind] = (file.rows[kind] ?? []).map((given) => {
      const row = { ...completeRow(kind, given), version: 1 } as StoredRow;
      if (problems.length < MOST_PROBLEMS) problems.push(...validateRow(kind, withoutVersion(row)));
      if (seen.has(row.id) && problems.length < MOST_PROBLEMS)
        problems.push(problem('row-exists', { kind, rowId: row.id, values: { kind } }));
      seen.add(row.id);
      return row;
    });
  }
  if (problems.length > 0) return refused(...problems);
  const rows = bookRows(complete as unknown as RowsByKind);
  const writes = STORED_KINDS.filter((kind) => kind !== 'settings').flatMap((kind) =>
    rows.all(kind).map((row): Write => ({ kind, id: row.id, before: null, after: row as StoredRow })),
  );
  const broken = ruleProblems(rows, writes, format);
  return broken.length > 0 ? refused(...broken.slice(0, MOST_PROBLEMS)) : { ok: true, rows, format };
}
