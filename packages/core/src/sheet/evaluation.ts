import { fieldValue, inOrder, type Kind, type RowOf, type RowsByKind, type Write } from '@nuvar/book';
import { emptyInput, type Figure, gap, input, isFigure, type PublishedOf, sameValue } from '../figure/index.js';
import { CoreError } from '../number/index.js';
import { type Calculation, type Sheet, WHOLE_BOOK } from './calculation.js';
import { addDependent, type Cell, hasDependent, markDependentsStale, removeDependent, type Source } from './cell.js';
import { allRows, contentsPointing, newCells, oneRow, rowsPointing, type Touched } from './cells.js';
import { type Override, sourcesOf } from './sources.js';

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
  const cells = newCells();
  const stack: Cell[] = [];
  let moment = 1;

  /** The cell of a result or a source. Mostly it is the one that was read at this place last time: then nothing is looked up. */
  const cellOf = (what: Cell['of'], id: string): Cell => {
    const reader = stack.at(-1);
    const known = reader?.dependencies[reader.readAgain];
    return known !== undefined && known.of === what && known.id === id ? known : cells.of(what, id);
  };
  const dependOn = (cell: Cell) => {
    const reader = stack.at(-1);
    if (reader === undefined) return;
    // Mostly the same is read in the same order as last time, and then nothing has to be registered.
    if (reader.dependencies[reader.readAgain] === cell) {
      reader.readAgain += 1;
      return;
    }
    if (reader.checkedAt > 0) {
      if (isKnown(cell, reader)) return;
      forgetFrom(reader, reader.readAgain);
    }
    if (!addDependent(cell, reader)) return;
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
      const value = calculation.work(sheet, cell.id, cell.value);
      if (cell.checkedAt > 0 && sameValue(cell.value, value)) return;
      cell.value = publish(cell, value);
      cell.changedAt = moment;
    } finally {
      stack.pop();
      cell.working = false;
      forgetFrom(cell, cell.readAgain);
      // An array that has grown has room for more: there are many cells, and most read two or three others.
      if (cell.checkedAt === 0) cell.dependencies = cell.dependencies.slice();
    }
  };
  const touched = (all: readonly Touched[]) => {
    moment += 1;
    for (const each of all) {
      const cell = cells.find(each);
      if (cell === undefined) continue;
      cell.changedAt = moment;
      cell.value = undefined;
      markDependentsStale(cell);
    }
  };
  const read = <Result>(calculation: Calculation<Result>, id: string): Result => {
    const cell = cellOf(calculation, id);
    refresh(cell);
    dependOn(cell);
    return cell.value as Result;
  };
  /** The cell of a source. What the source says is remembered in it until the source is touched. */
  const sourceRead = (source: Source, id: string): Cell => {
    const cell = cellOf(source, id);
    dependOn(cell);
    return cell;
  };

  const sheet: Sheet = {
    asOf,
    row: <K extends Kind>(kind: K, id: string) =>
      (sourceRead(oneRow(kind), id).value ??= sources.rows.row(kind, id)) as RowOf<K> | undefined,
    rowsOf: <K extends Kind>(kind: K, field: string, id: string) =>
      (sourceRead(contentsPointing(kind, field), id).value ??= inOrder(
        sources.rows.rowsWith(kind, field, id),
      )) as readonly RowOf<K>[],
    idsOf: (kind, field, id) =>
      (sourceRead(rowsPointing(kind, field), id).value ??= inOrder(sources.rows.rowsWith(kind, field, id)).map(
        idOf,
      )) as readonly string[],
    all: <K extends Kind>(kind: K) => {
      const ids = (sourceRead(allRows(kind), WHOLE_BOOK).value ??= inOrder(sources.rows.all(kind)).map(idOf));
      return (ids as readonly string[]).map((id) => sheet.row(kind, id) as RowOf<K>);
    },
    settings: () => sheet.all('settings')[0] as RowOf<'settings'>,
    read,
    input: (kind, row, field, leaf) => {
      const place = { kind, id: row.id, field };
      const value = fieldValue(row, field) as string | number | null;
      const baseline = sources.baseline(row.id, field);
      const note = baseline === undefined ? '' : `tried instead of ${String(baseline ?? 'nothing')}`;
      if (value !== null) return input(leaf, place, value, note);
      return emptyInput(
        leaf,
        place,
        leaf.whenEmpty?.(place) ?? gap('row-missing', place, { subject: leaf.name }),
        note,
      );
    },
  };

  const byName = new Map(calculations.map((each) => [each.name, each]));
  /** Where the figures stand that were asked for by key: they are asked for again after every change. */
  const askedFor = new Map<
    string,
    { readonly cell: Cell; readonly member: string; seenAt: number; figure: Figure | null }
  >();
  const published = (key: string) => {
    const [name = '', id = '', member = ''] = key.split('/');
    const calculation = byName.get(name);
    if (calculation === undefined) return null;
    const place = { cell: cells.of(calculation, id), member, seenAt: -1, figure: null };
    askedFor.set(key, place);
    return place;
  };
  return {
    asOf,
    read: (calculation, id = WHOLE_BOOK) => read(calculation, id),
    figure: (key) => {
      const known = askedFor.get(key) ?? published(key);
      if (known === null) return null;
      refresh(known.cell);
      if (known.seenAt !== known.cell.changedAt) {
        const found = fieldValue(known.cell.value as object, known.member);
        known.figure = isFigure(found) ? found : null;
        known.seenAt = known.cell.changedAt;
      }
      return known.figure;
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

const idOf = ({ id }: { readonly id: string }) => id;

/** Gives the figures of a result the keys under which they can be asked for. A figure keeps the first key it got. */
function publish(cell: Cell, result: unknown): unknown {
  if (typeof result !== 'object' || result === null || Array.isArray(result) || isFigure(result)) return result;
  const members = result as Record<string, unknown>;
  for (const member in members) {
    const figure = members[member];
    if (isFigure(figure) && figure.publishedOf === null) name(figure, cell, member);
  }
  return result;
}

/** The one moment at which a figure is written to: when it becomes a result. */
function name(figure: Figure, publishedOf: PublishedOf, member: string): void {
  const written = figure as { publishedOf: PublishedOf | null; member: string };
  written.publishedOf = publishedOf;
  written.member = member;
}
