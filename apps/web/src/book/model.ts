import {
  applyChange,
  bookRows,
  changedFields,
  rowsByKind,
  rowsOfColumns,
  type Applied,
  type BookRows,
  type Change,
  type Kind,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { overlaidBy, type OverlaidRows } from './overlaid-rows.js';
import type { Snapshot } from './transport.js';

/** A row by its kind and id, to which something may have happened. */
interface RowName {
  readonly kind: Kind;
  readonly id: string;
}

/** Is told of every book that is opened and of every write to the rows that are shown. */
export interface Follower {
  /** A book has been asked for and is on its way. */
  readonly expected: () => void;
  /** The text of the snapshot: whoever computes beside the page reads it there, while the page does. */
  readonly opened: (snapshot: string) => void;
  readonly written: (writes: readonly Write[]) => void;
}

let confirmed = bookRows();
let shown = bookRows();
/** The book with the what-if that is open; null while none is. */
let overlaid: OverlaidRows | null = null;
let follower: Follower | null = null;
const versions = new Map<Kind, number>();
const listeners = new Set<() => void>();

/**
 * The rows of the open book, twice: as the server has confirmed them, and as they are shown, with the changes on top
 * that still wait to be sent. Tens of thousands of rows are changed in place; whoever shows some of them is told when
 * rows of their kind have changed. Rows themselves are never changed: another object is another state.
 */
export const model = {
  /** The rows that are shown: those of the book, or of the what-if that is open over it. */
  get rows(): BookRows {
    return overlaid?.rows ?? shown;
  },
  /** The rows of the book, whatever what-if is open. */
  get book(): BookRows {
    return shown;
  },

  /** Shows the book as a what-if has it; null shows the book again. */
  showWhatIf(id: string | null): void {
    const before = overlaid?.kinds() ?? [];
    overlaid = id === null ? null : overlaidBy(shown, id);
    announce(new Set([...before, ...(overlaid?.kinds() ?? [])]));
  },

  expect: () => follower?.expected(),

  /** Opens a book from the text of its snapshot, with the changes on top that still wait. */
  open(text: string, pending: readonly Change[]): Snapshot {
    follower?.opened(text);
    const snapshot = JSON.parse(text) as Snapshot;
    const rows = rowsOfColumns(snapshot.rows);
    confirmed = bookRows(rows);
    shown = bookRows(rows);
    overlaid = null;
    restore(rowsNamedBy(pending), pending);
    announce(Object.keys(rows) as Kind[]);
    return snapshot;
  },

  /** Shows a change at once, where nothing stands against it. */
  edit(change: Change): Applied {
    const applied = applyChange(shown, change);
    if (applied.ok) put(applied.writes);
    return applied;
  },

  /** What a change would do to the rows that are shown, with the what-if that is open. */
  foreseeShown: (change: Change): Applied => applyChange(model.rows, change),

  /** What the server would answer to a change, by the rows that it has confirmed. */
  foresee: (change: Change): Applied => applyChange(confirmed, change),

  /**
   * A waiting change with those after it that depend on it: what cannot be done to the confirmed rows without it.
   */
  dependingOn(change: Change, pending: readonly Change[]): Change[] {
    const rows = bookRows(rowsByKind(confirmed));
    return pending.filter((each) => {
      const applied = each.id === change.id ? null : applyChange(rows, each);
      if (applied?.ok) rows.apply(applied.writes);
      return applied?.ok !== true;
    });
  },

  /** The server has written; `before` waited until now, `after` waits still. */
  confirm(writes: readonly Write[], before: readonly Change[], after: readonly Change[]): void {
    confirmed.apply(writes);
    restore([...writes, ...rowsNamedBy(before)], after);
  },

  /** The waiting changes have become others. */
  rewrite: (before: readonly Change[], after: readonly Change[]) =>
    restore([...rowsNamedBy(before), ...rowsNamedBy(after)], after),

  /**
   * Rows that the snapshot does not hold have been fetched: of a ledger, or worked out by the server. Those that were known
   * and are `gone` go. What is known of a row in a later version stays; `pending` waits still.
   */
  learn<K extends Kind>(
    kind: K,
    rows: readonly StoredRow<K>[],
    gone: (row: StoredRow<K>) => boolean,
    pending: readonly Change[],
  ): void {
    const there = new Set(rows.map(({ id }) => id));
    const lost = confirmed.all(kind).filter((row) => !there.has(row.id) && gone(row));
    for (const { id } of lost) confirmed.put(kind, id, null);
    const fresh = rows.filter((row) => (confirmed.row(kind, row.id)?.version ?? 0) <= row.version);
    for (const row of fresh) confirmed.put(kind, row.id, row);
    restore(
      [...lost, ...fresh].map(({ id }) => ({ kind, id })),
      pending,
    );
  },

  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },

  /** Rises with every change of a row of that kind. */
  versionOf: (kind: Kind): number => versions.get(kind) ?? 0,

  follow(by: Follower): void {
    follower = by;
  },
};

function rowsNamedBy(changes: readonly Change[]): RowName[] {
  return changes.flatMap(({ operations }) =>
    operations.map((operation) => ({
      kind: operation.kind,
      id: operation.action === 'create' ? operation.row.id : operation.id,
    })),
  );
}

/** Shows touched rows as the server has them, with the waiting changes on top. What no longer fits is left to the server. */
function restore(touched: readonly RowName[], pending: readonly Change[]): void {
  const once = new Map(
    touched.map(({ kind, id }) => [`${kind}/${id}`, { kind, id, before: shown.row(kind, id) ?? null }]),
  );
  for (const { kind, id } of once.values()) shown.put(kind, id, confirmed.row(kind, id) ?? null);
  for (const change of pending) {
    const applied = applyChange(shown, change);
    if (applied.ok) shown.apply(applied.writes);
  }
  const writes = [...once.values()].flatMap(({ kind, id, before }): Write[] => {
    const after = shown.row(kind, id) ?? null;
    if (before !== null && after !== null && isSame(kind, before, after)) {
      shown.put(kind, id, before);
      return [];
    }
    return before === after ? [] : [{ kind, id, before, after }];
  });
  told(writes);
}

const isSame = (kind: Kind, one: StoredRow, other: StoredRow) =>
  one.version === other.version && changedFields(kind, one, other).length === 0;

function put(writes: readonly Write[]): void {
  shown.apply(writes);
  told(writes);
}

function told(writes: readonly Write[]): void {
  if (writes.length === 0) return;
  follower?.written(writes);
  announce(new Set([...writes.map(({ kind }) => kind), ...(overlaid?.follow(writes) ?? [])]));
}

function announce(kinds: Iterable<Kind>): void {
  for (const kind of kinds) versions.set(kind, (versions.get(kind) ?? 0) + 1);
  listeners.forEach((listener) => listener());
}
