import { engine } from '../engine/engine.js';
import { isInput, type Column } from './grid-model.js';

/** A grid as text: its header and its cells, inputs as typed, figures exact as they were worked out. */
export interface ExportedTable {
  readonly header: readonly string[];
  readonly cells: readonly (readonly string[])[];
}

export async function exportCells<Row, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
): Promise<ExportedTable> {
  const kept = columns.filter((column) => column.type !== 'shown');
  const byColumn = await Promise.all(
    kept.map(async (column) => {
      if (isInput(column)) return rows.map((row) => column.text(row));
      if (column.type !== 'figure') return rows.map(() => '');
      const views = await engine.ask(column.view, rows.map(column.of));
      return rows.map((row, index) => column.pick(views[index], row)?.amount ?? '');
    }),
  );
  return {
    header: kept.map((column) => column.header),
    cells: rows.map((_row, index) => byColumn.map((cells) => cells[index] ?? '')),
  };
}
