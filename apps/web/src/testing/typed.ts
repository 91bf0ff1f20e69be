import { newId } from '@nuvar/book';
import { isInput, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { changed } from './open-demo.js';

/** A grid as it stands now: what is typed into one cell may change what the next one offers. */
interface GridNow<Row, Patch> {
  readonly columns: readonly Column<Row, Patch>[];
  readonly writer: GridWriter<Row, Patch>;
  readonly row: (id: string) => Row | undefined;
}

interface Typed {
  readonly id: string;
  /** What stood against the last text; null where all of them were taken. */
  readonly refusal: string | null;
}

/**
 * Types texts into the cells of a row, one after another, each written as a grid writes it; into the empty row where no id
 * is given. Stops at the first text that is refused.
 */
export function typed<Row, Patch>(
  grid: () => GridNow<Row, Patch>,
  texts: Readonly<Record<string, string>>,
  id = newId(),
): Typed {
  let blank = {} as Patch;
  for (const [columnId, text] of Object.entries(texts)) {
    const { columns, writer, row: rowOf } = grid();
    const row = rowOf(id) ?? null;
    const column = columns.find((each) => each.id === columnId);
    if (column === undefined || !isInput(column)) throw new RangeError(`Nothing is typed into "${columnId}".`);
    const reading = column.read(text, row);
    if ('refusal' in reading) return { id, refusal: reading.refusal };
    blank = { ...blank, ...reading.patch };
    const operations = row === null ? writer.create(id, blank, []) : writer.update(row, reading.patch, []);
    const [refusal] = changed(operations ?? []);
    if (refusal !== undefined) return { id, refusal };
  }
  return { id, refusal: null };
}
