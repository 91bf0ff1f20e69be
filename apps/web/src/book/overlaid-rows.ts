import { bookRows, type BookRows, type Kind, rowsByKind, type Write } from '@nuvar/book';
import { layWhatIf } from '@nuvar/core';

/** The rows of a book with a what-if written into them; the rows of the book stay as they are. */
export interface OverlaidRows {
  readonly rows: BookRows;
  /** The kinds of the rows that the what-if changes. */
  kinds(): readonly Kind[];
  /** Follows what was written to the book; gives the kinds of the rows that are others now. */
  follow(writes: readonly Write[]): readonly Kind[];
}

/** Lays a what-if over the rows of a book. */
export function overlaidBy(book: BookRows, whatIfId: string): OverlaidRows {
  const rows = bookRows(rowsByKind(book));
  let laid = layWhatIf(book, whatIfId).writes;
  rows.apply(laid);
  return {
    rows,
    kinds: () => laid.map(({ kind }) => kind),
    follow(writes) {
      const before = laid;
      laid = layWhatIf(book, whatIfId).writes;
      const after = new Map(laid.map((write) => [write.id, write.after]));
      const moved = [...writes, ...before, ...laid];
      for (const { kind, id } of moved) {
        const laidRow = after.get(id);
        rows.put(kind, id, laidRow === undefined ? (book.row(kind, id) ?? null) : laidRow);
      }
      return [...new Set(moved.map(({ kind }) => kind))];
    },
  };
}
