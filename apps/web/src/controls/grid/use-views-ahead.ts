import { useEffect } from 'react';
import { engine } from '../../engine/engine.js';
import type { Column } from './grid-model.js';

/** So many rows above and below those in sight have their figures worked out before they come into it. */
const AHEAD = 120;
/** The window moves by so many rows at a time, so that a turn of the wheel is no reason to ask anew. */
const STEP = 40;

/** Has the figures of the rows around those in sight worked out, so that they are there when their rows are. */
export function useViewsAhead<Row, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
  first: number,
  last: number,
): void {
  const from = Math.max(0, Math.floor(first / STEP) * STEP - AHEAD);
  const to = Math.ceil(last / STEP) * STEP + AHEAD;
  useEffect(() => {
    const around = rows.slice(from, to);
    const keys = new Set(
      columns.flatMap((column) =>
        column.type === 'figure' ? around.map((row) => `${column.view}/${column.of(row)}`) : [],
      ),
    );
    const leaves = [...keys].map((key) => engine.watch(key, () => undefined));
    return () => leaves.forEach((leave) => leave());
  }, [columns, rows, from, to]);
}
