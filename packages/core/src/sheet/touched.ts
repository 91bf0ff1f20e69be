import { fieldsOf, type FieldSpec, fieldValue, type Kind, type StoredRow } from '@nuvar/book';
import { contentsPointing, oneRow, rowsPointing, type Touched, touchedAll } from './cells.js';

type State = StoredRow | null;

/** The sources that become others when a row of a kind goes from one state to another; null is no row. */
export function touchedBy(kind: Kind, before: State, after: State): Touched[] {
  const touched: Touched[] = [{ source: oneRow(kind), id: (after ?? before)?.id ?? '' }];
  const isUpdate = before !== null && after !== null;
  const isReordered = isUpdate && hasMoved(before, after, 'position');
  if (!isUpdate || isReordered) touched.push(touchedAll(kind));
  for (const field of fieldsOf(kind))
    if (field.target !== undefined) touched.push(...touchedTargets(kind, field, before, after, isReordered));
  return touched;
}

const hasMoved = (before: State, after: State, field: string) =>
  before === null || after === null || fieldValue(before, field) !== fieldValue(after, field);

/** What rows that the row points to, or pointed to, are told of it. */
function touchedTargets(kind: Kind, { name }: FieldSpec, before: State, after: State, isReordered: boolean): Touched[] {
  const moved = hasMoved(before, after, name);
  const targets = (moved ? [before, after] : [after]).map((row) => row && fieldValue(row, name));
  return targets.flatMap((id): Touched[] => {
    if (typeof id !== 'string') return [];
    const contents = { source: contentsPointing(kind, name), id };
    return moved || isReordered ? [contents, { source: rowsPointing(kind, name), id }] : [contents];
  });
}
