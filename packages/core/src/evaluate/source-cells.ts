import type { Kind } from '@nuvar/book';
import { newCell, type Cell } from './cell.js';

/** What a result read of the book: a row (`field` is null), the rows that point to a row by a field, or all of a kind. */
export interface Source {
  readonly kind: Kind;
  readonly field: string | null;
  /** Null for all rows of a kind. */
  readonly id: string | null;
}

/** The cells of the sources that were read. Kept in maps within maps: no key has to be put together to find one. */
export interface SourceCells {
  row(kind: Kind, id: string): Cell;
  set(kind: Kind, field: string, id: string): Cell;
  all(kind: Kind): Cell;
  /** The cell of a source, where it was ever read. */
  find(source: Source): Cell | undefined;
}

export function sourceCells(): SourceCells {
  const rows = new Map<Kind, Map<string, Cell>>();
  const sets = new Map<Kind, Map<string, Map<string, Cell>>>();
  const alls = new Map<Kind, Cell>();
  return {
    row: (kind, id) => cellIn(within(rows, kind), id),
    set: (kind, field, id) => cellIn(within(within(sets, kind), field), id),
    all: (kind) => cellIn(alls, kind),
    find({ kind, field, id }) {
      if (id === null) return alls.get(kind);
      return field === null ? rows.get(kind)?.get(id) : sets.get(kind)?.get(field)?.get(id);
    },
  };
}

function within<Key, Inner extends Map<string, unknown>>(map: Map<Key, Inner>, key: Key): Inner {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = new Map() as Inner;
  map.set(key, made);
  return made;
}

function cellIn<Key extends string>(map: Map<Key, Cell>, key: Key): Cell {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = newCell(null, key);
  map.set(key, made);
  return made;
}
