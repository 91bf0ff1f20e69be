import { bookRows, type RowsByKind } from '@nuvar/book';
import { newCells } from './cells.js';
import type { Graph } from './graph.js';
import { type BookGround, knownCell, plainInput, sheetOf, sourceRead, touch } from './ground.js';
import { touchedBy } from './touched.js';
/** The ground of the book itself: every result has its cell here. */
export function bookGround(graph: Graph, book: Partial<RowsByKind>, asOf: string): BookGround {
  const rows = bookRows(book);
  const cells = newCells(() => ground.sheet);
  const ground: BookGround = {
    rows,
    forks: new Set(),
    cellOf(calculation, id, before) {
      const cell = before ?? knownCell(graph, sheet, calculation, id) ?? cells.of(calculation, id);
      if (cell.stale) graph.refresh(cell);
      return cell;
    },
    source: (source, id, fill) => sourceRead(graph, ground, cells, source, id, fill),
    input: plainInput,
    apply(writes) {
      graph.advance();
      const touched = writes.flatMap(({ kind, id, after }) => {
        const before = rows.row(kind, id) ?? null;
        rows.put(kind, id, after);
        return touchedBy(kind, before, after);
      });
      touch(graph, cells, touched);
      for (const fork of ground.forks) fork.follow(writes, touched);
    },
    get sheet() {
      return sheet;
    },
  };
  const sheet = sheetOf(graph, ground, asOf);
  return ground;
}
