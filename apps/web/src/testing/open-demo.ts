import { columnsOfRows, newId, rowsByKind, type Operation } from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, type Evaluation } from '@nuvar/core';
import { shownDay } from '../state/store.js';
import { model } from '../book/model.js';

/** Opens the demo book in the page's own model, as a snapshot would, without a server. */
export function openDemo(): void {
  const columns = columnsOfRows(rowsByKind(rowsOfFile(quillfernPottery())));
  model.open(JSON.stringify({ revision: 1, rows: columns }), []);
}

/** Makes one change of operations and returns the sentences of what stands against it; none where it was made. */
export function changed(operations: readonly Operation[]): readonly string[] {
  const applied = model.edit({ id: newId(), operations });
  return applied.ok ? [] : applied.problems.map(({ sentence }) => sentence);
}

/** The figures of the book as it is shown now. */
export const figuresNow = (): Evaluation => evaluate(rowsByKind(model.rows), shownDay());

/** The one row of that name. */
export function named<K extends 'material' | 'product' | 'labourGrade' | 'equipment' | 'equipmentRun'>(
  kind: K,
  name: string,
) {
  const [found] = model.rows.rowsWith(kind, 'name', name);
  if (found === undefined) throw new RangeError(`The demo book has no ${kind} "${name}".`);
  return found;
}
