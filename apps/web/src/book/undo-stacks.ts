import { describeWrites, fieldValue, NAMED_KINDS, type BookRows, type Write } from '@nuvar/book';
import type { UndoEntry } from '../state/book-slice.js';
import type { HistoryEntry } from '../state/api.js';

export interface UndoStacks {
  readonly undo: readonly UndoEntry[];
  readonly redo: readonly UndoEntry[];
}

const MOST = 200;

/** The name of a row by its id, from the rows of a book and, for what is gone, from the writes themselves. */
export function namesOf(rows: BookRows, writes: readonly Write[] = []): (id: string) => string | undefined {
  return (id) => {
    for (const kind of NAMED_KINDS) {
      const row = rows.row(kind, id);
      if (row !== undefined) return String(fieldValue(row, 'name'));
    }
    const written = writes.find((write) => write.id === id);
    const row = written?.after ?? written?.before;
    return row && 'name' in row && typeof row.name === 'string' ? row.name : undefined;
  };
}

/** What a change did, a sentence a row; at most so many rows. */
export function sentencesOf(rows: BookRows, writes: readonly Write[], most: number): string[] {
  const locale = rows.all('settings')[0]?.locale ?? 'en-IE';
  return describeWrites(writes.slice(0, most), namesOf(rows, writes), locale);
}

/** What a change did, in one line; `count` where not all that it wrote is there. */
export function labelOf(rows: BookRows, writes: readonly Write[], count = writes.length): string {
  const [first = ''] = sentencesOf(rows, writes, 1);
  return count > 1 ? `${first}, and ${count - 1} more` : first;
}

/** Puts one change on the stacks: an edit clears what could be redone; an undo moves it there, a redo back. */
export function stacked(stacks: UndoStacks, entry: UndoEntry, undoes: string | null): UndoStacks {
  if (undoes === null) return { undo: [...stacks.undo, entry].slice(-MOST), redo: [] };
  if (stacks.undo.at(-1)?.changeId === undoes) return { undo: stacks.undo.slice(0, -1), redo: [...stacks.redo, entry] };
  if (stacks.redo.at(-1)?.changeId === undoes) return { undo: [...stacks.undo, entry], redo: stacks.redo.slice(0, -1) };
  return stacks;
}

/** The stacks as a person left them, from the history of the book (newest first). */
export function stacksFrom(history: readonly HistoryEntry[], personId: string, rows: BookRows): UndoStacks {
  return [...history]
    .reverse()
    .filter((entry) => entry.userId === personId && entry.revision > 1)
    .reduce<UndoStacks>(
      (stacks, { changeId, writes, undoes, writeCount, revision, rest: piece }) => {
        const rest = piece == null ? {} : { rest: { revision, piece } };
        return stacked(stacks, { changeId, writes, label: labelOf(rows, writes, writeCount), ...rest }, undoes);
      },
      { undo: [], redo: [] },
    );
}
