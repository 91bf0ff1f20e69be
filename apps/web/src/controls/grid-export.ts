import { engine } from '../engine/engine.js';
import { isInput, type Column } from './grid-model.js';

/** The header and the cells of a grid as text: inputs as typed, figures exact as they were worked out. */
export async function exportCells<Row, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
): Promise<[header: string[], cells: string[][]]> {
  const kept = columns.filter((column) => column.type !== 'shown');
  const byColumn = await Promise.all(
    kept.map(async (column) => {
      if (isInput(column)) return rows.map((row) => column.text(row));
      if (column.type !== 'figure') return rows.map(() => '');
      const views = await engine.ask(column.view, rows.map(column.of));
      return rows.map((row, index) => column.pick(views[index], row)?.amount ?? '');
    }),
  );
  return [kept.map((column) => column.header), rows.map((_row, index) => byColumn.map((cells) => cells[index] ?? ''))];
}
