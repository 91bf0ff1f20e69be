import { fieldValue, type Kind, type RowOf, type RowsByKind, type StoredRow, type Write } from '@nuvar/book';
import { gap, input, sameValue, type Figure } from '../figure/index.js';
import { CoreError } from '../number/index.js';
import { WHOLE_BOOK, type Calculation, type Sheet } from './calculation.js';
import { addDependent, hasDependent, markDependentsStale, newCell, removeDependent, type Cell } from './cell.js';
import { sourceCells, type Source } from './source-cells.js';
import { sourcesOf, type Override } from './sources.js';

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
  /** What is read while more overrides lie over those that are there; afterwards all is as it was. */
  trying<Result>(overrides: readonly Override[], read: () => Result): Result;
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
  const results = new Map<Calculation<unknown>, Map<string, Cell>>();
  const sourcesRead = sourceCells();
  const stack: Cell[] = [];
  let moment = 1;

  const cellOf = (calculation: Calculation<unknown>, id: string): Cell => {
    let ofCalculation = results.get(calculation);
    if (ofCalculation === undefined) results.set(calculation, (ofCalculation = new Map()));
    let cell = ofCalculation.get(id);
    if (cell === undefined) ofCalculation.set(id, (cell = newCell(calculation, id)));
    return cell;
  };
  /** The cell that was read at this place last time, where it is the one that is wanted: then it need not be looked up. */
  const readLastTime = (calculation: Calculation<unknown>, id: string): Cell | undefined => {
    const reader = stack.at(-1);
    const cell = reader?.dependencies[reader.readAgain];
    return cell !== undefined && cell.calculation === calculation && cell.id === id ? cell : undefined;
  };
  const dependOn = (cell: Cell) => {
    const reader = stack.at(-1);
    if (reader === undefined) return;
    // Mostly the same is read in the same order as last time, and then nothing has to be registered.
    if (reader.dependencies[reader.readAgain] === cell) {
      reader.readAgain += 1;
      return;
    }
    if (isKnown(cell, reader)) return;
    forgetFrom(reader, reader.readAgain);
    addDependent(cell, reader);
    reader.dependencies.push(cell);
    reader.readAgain += 1;
  };
  const refresh = (cell: Cell): void => {
    if (!cell.stale || cell.calculation === null) return;
    if (cell.checkedAt === 0 || hasChangedBelow(cell)) workOut(cell, cell.calculation);
    cell.stale = false;
    cell.checkedAt = moment;
  };
  const hasChangedBelow = (cell: Cell): boolean => {
    for (const each of cell.dependencies) {
      refresh(each);
      if (each.changedAt > cell.checkedAt) return true;
    }
    return false;
  };
  const workOut = (cell: Cell, calculation: Calculation<unknown>) => {
    if (cell.working) throw new CoreError('unknown-figure', `${calculation.name}/${cell.id} depends on itself.`);
    cell.readAgain = 0;
    cell.working = true;
    stack.push(cell);
    try {
      const value = calculation.work(sheet, cell.id);
      if (cell.checkedAt > 0 && sameValue(cell.value, value)) return;
      cell.value = publish(calculation.name, cell.id, value);
      cell.changedAt = moment;
    } finally {
      stack.pop();
      cell.working = false;
      forgetFrom(cell, cell.readAgain);
    }
  };
  const touched = (touchedSources: readonly Source[]) => {
    moment += 1;
    for (const source of touchedSources) {
      const cell = sourcesRead.find(source);
      if (cell === undefined) continue;
      cell.changedAt = moment;
      cell.value = undefined;
      markDependentsStale(cell);
    }
  };
  const read = <Result>(calculation: Calculation<Result>, id: string): Result => {
    const cell = readLastTime(calculation, id) ?? cellOf(calculation, id);
    refresh(cell);
    dependOn(cell);
    return cell.value as Result;
  };

  const sheet: Sheet = {
    asOf,
    row: <K extends Kind>(kind: K, id: string) => {
      dependOn(sourcesRead.row(kind, id));
      return sources.rows.row(kind, id);
    },
    rowsOf: <K extends Kind>(kind: K, field: string, id: string) =>
      sheet.idsOf(kind, field, id).map((rowId) => sheet.row(kind, rowId) as RowOf<K>),
    idsOf: (kind, field, id) => {
      const cell = sourcesRead.set(kind, field, id);
      dependOn(cell);
      cell.value ??= inOrder(sources.rows.rowsWith(kind, field, id)).map((row) => row.id);
      return cell.value as readonly string[];
    },
    all: <K extends Kind>(kind: K) => {
      dependOn(sourcesRead.all(kind));
      return inOrder(sources.rows.all(kind)).map((row) => sheet.row(kind, row.id) as RowOf<K>);
    },
    settings: () => sheet.all('settings')[0] as RowOf<'settings'>,
    read,
    input: (kind, row, field, leaf) => {
      const place = { kind, id: row.id, field };
      const value = fieldValue(row, field) as string | number | null;
      const whenEmpty = () => leaf.whenEmpty?.() ?? gap('row-missing', place, { subject: leaf.name });
      const baseline = sources.baseline(row.id, field);
      return input(leaf, place, value, whenEmpty, baseline === undefined ? undefined : String(baseline ?? 'nothing'));
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
    trying: (overrides, readNow) => {
      const before = sources.overrides();
      touched(sources.override([...before, ...overrides]));
      try {
        return readNow();
      } finally {
        touched(sources.override(before));
      }
    },
    sheet,
  };
}

/** True where the reader has read the cell already in this round. */
function isKnown(cell: Cell, reader: Cell): boolean {
  return hasDependent(cell, reader) && reader.dependencies.lastIndexOf(cell, reader.readAgain - 1) >= 0;
}

/** Drops the dependencies of last time from a place on: they were not read again so far. */
function forgetFrom(reader: Cell, place: number): void {
  if (reader.dependencies.length <= place) return;
  const dropped = reader.dependencies.splice(place);
  for (const each of dropped) removeDependent(each, reader);
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
function publish(calculation: string, id: string, result: unknown): unknown {
  if (typeof result !== 'object' || result === null || isFigure(result)) return result;
  const members = result as Record<string, unknown>;
  for (const member in members) {
    const figure = members[member];
    if (isFigure(figure) && figure.key === null) {
      (figure as { key: string | null }).key = `${calculation}/${id}/${member}`;
    }
  }
  return result;
}
