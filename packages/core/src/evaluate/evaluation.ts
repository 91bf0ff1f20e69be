import { fieldValue, type Kind, type RowOf, type RowsByKind, type StoredRow, type Write } from '@nuvar/book';
import { gap, input, sameValue, type Figure } from '../figure/index.js';
import { CoreError } from '../number/index.js';
import { WHOLE_BOOK, type Calculation, type Sheet } from './calculation.js';
import { markDependentsStale, newCell, type Cell } from './cell.js';
import { allKey, rowKey, setKey, sourcesOf, type Override } from './sources.js';

/** The figures of a book. Nothing is worked out before it is asked for, and nothing twice. */
export interface Evaluation {
  readonly asOf: string;
  /** The result of a calculation for an id, brought up to date. */
  read<Result>(calculation: Calculation<Result>, id?: string): Result;
  /** A published figure by its key; null where there is no such figure (any more). */
  figure(key: string): Figure | null;
  /** What a figure is, in a sentence. */
  meaning(key: string): string;
  /** Lets the evaluation follow a change of the book: what the change can reach is worked out again when asked for. */
  apply(writes: readonly Write[]): void;
  /** Puts a what-if or a trial in place of the one before. */
  override(overrides: readonly Override[]): void;
  /** The book as it stands, overrides included: for views that list rows. */
  readonly sheet: Sheet;
}

/** Begins to evaluate a book as of a day. `calculations` are those whose figures can be asked for by key. */
export function beginEvaluation(
  book: Partial<RowsByKind>,
  asOf: string,
  calculations: readonly Calculation<unknown>[],
): Evaluation {
  const sources = sourcesOf(book);
  const cells = new Map<string, Cell>();
  const stack: Cell[] = [];
  let moment = 1;

  const cellOf = (key: string, calculation: Calculation<unknown> | null, id: string): Cell => {
    const known = cells.get(key);
    if (known !== undefined) return known;
    const made = newCell(key, calculation, id);
    cells.set(key, made);
    return made;
  };
  const dependOn = (cell: Cell) => {
    const reader = stack.at(-1);
    if (reader === undefined || cell.dependents.has(reader)) return;
    cell.dependents.add(reader);
    reader.dependencies.push(cell);
  };
  const refresh = (cell: Cell): void => {
    if (!cell.stale || cell.calculation === null) return;
    const untouched =
      cell.checkedAt > 0 && cell.dependencies.every((each) => (refresh(each), each.changedAt <= cell.checkedAt));
    if (!untouched) workOut(cell, cell.calculation);
    cell.stale = false;
    cell.checkedAt = moment;
  };
  const workOut = (cell: Cell, calculation: Calculation<unknown>) => {
    if (cell.working) throw new CoreError('unknown-figure', `${cell.key} depends on itself.`);
    for (const each of cell.dependencies) each.dependents.delete(cell);
    cell.dependencies = [];
    cell.working = true;
    stack.push(cell);
    try {
      const value = calculation.work(sheet, cell.id);
      if (cell.checkedAt > 0 && sameValue(cell.value, value)) return;
      cell.value = publish(cell.key, value);
      cell.changedAt = moment;
    } finally {
      stack.pop();
      cell.working = false;
    }
  };
  const touched = (keys: Set<string>) => {
    moment += 1;
    for (const key of keys) {
      const cell = cells.get(key);
      if (cell === undefined) continue;
      cell.changedAt = moment;
      markDependentsStale(cell);
    }
  };
  const read = <Result>(calculation: Calculation<Result>, id: string): Result => {
    const cell = cellOf(`${calculation.name}/${id}`, calculation, id);
    refresh(cell);
    dependOn(cell);
    return cell.value as Result;
  };

  const sheet: Sheet = {
    asOf,
    row: <K extends Kind>(kind: K, id: string) => {
      dependOn(cellOf(rowKey(kind, id), null, id));
      return sources.rows.row(kind, id);
    },
    rowsOf: <K extends Kind>(kind: K, field: string, id: string) => {
      dependOn(cellOf(setKey(kind, field, id), null, id));
      return inOrder(sources.rows.rowsWith(kind, field, id)).map((row) => sheet.row(kind, row.id) as RowOf<K>);
    },
    all: <K extends Kind>(kind: K) => {
      dependOn(cellOf(allKey(kind), null, ''));
      return inOrder(sources.rows.all(kind)).map((row) => sheet.row(kind, row.id) as RowOf<K>);
    },
    settings: () => sheet.all('settings')[0] as RowOf<'settings'>,
    read,
    input: (kind, row, field, leaf) => {
      const place = { kind, id: row.id, field };
      const baseline = sources.baseline(row.id, field);
      const value = fieldValue(row, field) as string | number | null;
      return input(
        leaf,
        place,
        value,
        leaf.whenEmpty ?? gap('row-missing', place, { subject: leaf.name }),
        baseline === undefined ? undefined : String(baseline ?? 'nothing'),
      );
    },
  };

  const byName = new Map(calculations.map((each) => [each.name, each]));
  return {
    asOf,
    read: (calculation, id = WHOLE_BOOK) => read(calculation, id),
    figure: (key) => {
      const [name = '', id = '', member = ''] = key.split('/');
      const calculation = byName.get(name);
      const found = calculation && fieldValue(read(calculation, id) as object, member);
      return isFigure(found) ? found : null;
    },
    meaning: (key) => {
      const [name = '', , member = ''] = key.split('/');
      return byName.get(name)?.meanings[member] ?? '';
    },
    apply: (writes) => touched(sources.apply(writes)),
    override: (overrides) => touched(sources.override(overrides)),
    sheet,
  };
}

/** Position where rows have one, else the order in which their ids were made. */
function inOrder<K extends Kind>(rows: readonly StoredRow<K>[]): StoredRow<K>[] {
  const position = (row: StoredRow<K>) => (fieldValue(row, 'position') as number | undefined) ?? 0;
  return [...rows].sort((one, other) => position(one) - position(other) || (one.id < other.id ? -1 : 1));
}

function isFigure(value: unknown): value is Figure {
  return typeof value === 'object' && value !== null && 'operation' in value && 'unit' in value;
}

/** Gives the figures of a result the keys under which they can be asked for. A figure keeps the first key it got. */
function publish(cellKey: string, result: unknown): unknown {
  if (typeof result !== 'object' || result === null || isFigure(result)) return result;
  for (const [member, figure] of Object.entries(result)) {
    if (isFigure(figure) && figure.key === null) (figure as { key: string | null }).key = `${cellKey}/${member}`;
  }
  return result;
}
