import { bookRows, comparesExactly, nameKey, type BookReader, type Kind, type StoredRow } from '@nuvar/book';
import type { Asked } from './rows.js';

/** A reader over the rows that are loaded, which notes what is asked of it and is not there yet. */
export interface ReaderOnDemand extends BookReader {
  /** What was asked for since the last time and is not loaded; by kind of row. */
  takeMissing(): ReadonlyMap<Kind, Asked>;
  /** Takes in what was found of what was missing: from now on all of that is known. */
  take(kind: Kind, rows: readonly StoredRow[]): void;
}

export function readerOnDemand(): ReaderOnDemand {
  const rows = bookRows();
  /** Everything that was asked for so far: kind, field and value. What was found of it is in `rows`, and no more exists. */
  const known = new Set<string>();
  let missing = new Map<Kind, Map<string, Set<string>>>();
  const note = (kind: Kind, field: string, value: string) => {
    const key = `${kind}/${field}/${value}`;
    if (known.has(key)) return;
    known.add(key);
    let ofKind = missing.get(kind);
    if (ofKind === undefined) missing.set(kind, (ofKind = new Map<string, Set<string>>()));
    ofKind.set(field, (ofKind.get(field) ?? new Set<string>()).add(value));
  };
  return {
    row(kind, id) {
      note(kind, 'id', id);
      return rows.row(kind, id);
    },
    rowsWith(kind, field, value) {
      note(kind, field, comparesExactly(kind, field) ? value : nameKey(value));
      return rows.rowsWith(kind, field, value);
    },
    takeMissing() {
      const asked = missing;
      missing = new Map<Kind, Map<string, Set<string>>>();
      return asked;
    },
    take(kind, found) {
      for (const row of found) rows.put(kind, row.id, row);
    },
  };
}

/** Finds the rows of a kind that are asked for. */
export type Load = (kind: Kind, asked: Asked) => Promise<readonly StoredRow[]>;

/**
 * What some judgement says of a book of which only the rows are loaded that it asks for: it is made again and again, each
 * time with what it lacked before, until it lacks nothing. A round asks once for each kind of row.
 */
export async function judgedOnDemand<Verdict>(
  reader: ReaderOnDemand,
  load: Load,
  judge: (reader: BookReader) => Verdict,
): Promise<Verdict> {
  for (;;) {
    const verdict = judge(reader);
    const missing = reader.takeMissing();
    if (missing.size === 0) return verdict;
    for (const [kind, asked] of missing) reader.take(kind, await load(kind, asked));
  }
}
