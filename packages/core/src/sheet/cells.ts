import type { Kind } from '@nuvar/book';
import { type Sheet, WHOLE_BOOK } from './calculation.js';
import { type Cell, newCell, type Source } from './cell.js';

/** All cells of an evaluation. Those of one id hang together: one look-up by the id leads to all of them. */
export interface Cells {
  /** The cell of a result or a source for an id, made where there is none. */
  of(what: Cell['of'], id: string): Cell;
  /** The cell of a result or a source, where it was ever read. */
  find(what: Cell['of'], id: string): Cell | undefined;
  /** Every cell there is. */
  all(): Iterable<Cell>;
}

/** No cells yet, for a sheet that is there when the first is made. */
export function newCells(sheet: () => Sheet): Cells {
  const firstOfId = new Map<string, Cell>();
  return {
    find(what, id) {
      let cell = firstOfId.get(id);
      while (cell !== undefined && cell.of !== what) cell = cell.next ?? undefined;
      return cell;
    },
    *all() {
      for (const first of firstOfId.values())
        for (let cell: Cell | null = first; cell !== null; cell = cell.next) yield cell;
    },
    of(what, id) {
      const first = firstOfId.get(id);
      for (let cell = first ?? null; cell !== null; cell = cell.next) if (cell.of === what) return cell;
      const made = newCell(what, id, sheet());
      if (first === undefined) {
        firstOfId.set(id, made);
      } else {
        made.next = first.next;
        first.next = made;
      }
      return made;
    },
  };
}

/** A source together with the id under which its cell stands. */
export interface Touched {
  readonly source: Source;
  readonly id: string;
}

type Sources = Map<Kind, Map<string, Source>>;
const ROWS: Sources = new Map();
const SETS: Sources = new Map();
const CONTENTS: Sources = new Map();
const ALL: Sources = new Map();

/** One object for each source, so that it is told by its identity. */
function source(of: Sources, kind: Kind, field: string): Source {
  let ofKind = of.get(kind);
  if (ofKind === undefined) of.set(kind, (ofKind = new Map<string, Source>()));
  let known = ofKind.get(field);
  if (known === undefined) ofKind.set(field, (known = { kind, field }));
  return known;
}

/** What one row says. */
export const oneRow = (kind: Kind) => source(ROWS, kind, 'id');
/** Which rows of a kind point to a row by a field, and in which order. */
export const rowsPointing = (kind: Kind, field: string) => source(SETS, kind, field);
/** The same, and what those rows say: one source in place of one for each row. */
export const contentsPointing = (kind: Kind, field: string) => source(CONTENTS, kind, field);
/** Which rows of a kind there are, under the id of the whole book. */
export const allRows = (kind: Kind) => source(ALL, kind, '');

/** Which rows of a kind there are, as a source that is touched. */
export const touchedAll = (kind: Kind): Touched => ({ source: allRows(kind), id: WHOLE_BOOK });
