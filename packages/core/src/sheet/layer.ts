import {
  bookRows,
  type BookRows,
  compareDecimalText,
  completeRow,
  type FieldOverride,
  fieldValue,
  isDecimalText,
  isOfField,
  type Kind,
  type Override,
  type Problem,
  type RowOverride,
  type StoredRow,
  validateFields,
  validateRow,
} from '@nuvar/book';
import { Decimal, decimal } from '../number/index.js';
import type { Source } from './cell.js';
import type { Touched } from './cells.js';
import { touchedBy } from './touched.js';

/** A row with overrides laid over it. */
export interface LaidRow {
  readonly kind: Kind;
  /** The row of the book; null where an override adds it. */
  readonly base: StoredRow | null;
  /** The row as it counts: with all overrides that fit; null where one takes it away. */
  readonly row: StoredRow | null;
  readonly overrides: ReadonlyMap<string, FieldOverride>;
  /** What stands against an override that does not fit, by its field. */
  readonly refusals: ReadonlyMap<string, Problem>;
}

/** A row by its kind and id. */
export interface RowName {
  readonly kind: Kind;
  readonly id: string;
}

/** What a layer reads of the book below it. */
export type RowsBelow = Pick<BookRows, 'row' | 'rowsWith' | 'all'>;

/** Overrides laid over rows: how the rows then are, and which sources are others than below. */
export interface Layer {
  readonly isEmpty: boolean;
  readonly rows: RowsBelow;
  laid(id: string): LaidRow | undefined;
  isTouched(source: Source, id: string): boolean;
  /** Lays these overrides in place of those before. */
  lay(overrides: readonly Override[]): Relaid;
  /** Follows rows below that have changed. */
  follow(rows: readonly RowName[]): Relaid;
}

/** What laying overrides anew has done. */
export interface Relaid {
  /** The rows on which overrides lie or lay. */
  readonly rows: readonly RowName[];
  /** The sources that are others than they were. */
  readonly touched: readonly Touched[];
  /** True where a source is overridden now that was not before: what did not depend on overrides may depend on them now. */
  readonly isWider: boolean;
}

/** What is to lie over one row: its fields, and what becomes of it as a whole. */
interface Wanted {
  readonly kind: Kind;
  readonly byField: Map<string, FieldOverride>;
  whole: RowOverride | null;
}

/** Counts how often each source is touched. */
class TouchCount {
  private readonly times = new Map<Source, Map<string, number>>();
  /** True once a source was touched that was not before; set back by whoever wants to know. */
  isWider = false;

  has(source: Source, id: string): boolean {
    return this.times.get(source)?.has(id) ?? false;
  }

  count({ kind, base, row }: LaidRow, step: 1 | -1): void {
    for (const { source, id } of touchedBy(kind, base, row)) {
      let ofSource = this.times.get(source);
      if (ofSource === undefined) this.times.set(source, (ofSource = new Map<string, number>()));
      const times = (ofSource.get(id) ?? 0) + step;
      if (step === 1 && times === 1) this.isWider = true;
      if (times === 0) ofSource.delete(id);
      else ofSource.set(id, times);
    }
  }
}

/** A layer without overrides over rows. */
export function layerOver(below: RowsBelow): Layer {
  let overrides = new Map<string, Wanted>();
  const laid = new Map<string, LaidRow>();
  /** The rows laid now, found as those below are. */
  const above = bookRows();
  const touched = new TouchCount();

  const put = (kind: Kind, id: string, before: LaidRow | undefined, now: LaidRow | undefined) => {
    if (now !== undefined) touched.count(now, 1);
    if (before !== undefined) touched.count(before, -1);
    if (now === undefined) laid.delete(id);
    else laid.set(id, now);
    above.put(kind, id, now?.row ?? null);
  };
  /** Lays what is to lie over one row, as it is below now; returns the sources that are others than they were. */
  const relay = ({ kind, id }: RowName): Touched[] => {
    const before = laid.get(id);
    const wanted = overrides.get(id);
    const base = (below.row(kind, id) as StoredRow | undefined) ?? null;
    const now = wanted && laidOver(base, wanted);
    put(kind, id, before, now);
    if (before === undefined && now === undefined) return [];
    return touchedBy(kind, before === undefined ? base : before.row, now === undefined ? base : now.row);
  };
  const relayAll = (rows: readonly RowName[]): Relaid => {
    touched.isWider = false;
    const moved = rows.flatMap(relay);
    return { rows, touched: moved, isWider: touched.isWider };
  };

  return {
    get isEmpty() {
      return laid.size === 0;
    },
    rows: rowsUnder(below, above, laid),
    laid: (id) => laid.get(id),
    isTouched: (source, id) => touched.has(source, id),
    lay(wanted) {
      const before = overrides;
      overrides = byRow(wanted);
      const moved = [...new Map([...before, ...overrides])].filter(
        ([id]) => !isSameWanted(before.get(id), overrides.get(id)),
      );
      return relayAll(moved.map(([id, { kind }]) => ({ kind, id })));
    },
    follow: (rows) => relayAll(rows.filter(({ kind, id }) => overrides.get(id)?.kind === kind)),
  };
}

/** The rows as they count: those below, but for the ones over which something is laid. */
function rowsUnder(below: RowsBelow, above: BookRows, laid: ReadonlyMap<string, LaidRow>): RowsBelow {
  return {
    row: (kind, id) => {
      const known = laid.get(id);
      return (known === undefined || known.kind !== kind ? below.row(kind, id) : (known.row ?? undefined)) as never;
    },
    rowsWith: (kind, field, value) => {
      const kept = below.rowsWith(kind, field, value).filter(({ id }) => !laid.has(id));
      return [...kept, ...above.rowsWith(kind, field, value)];
    },
    all: (kind) => {
      const changed = (below.all(kind) as readonly unknown[] as readonly StoredRow[]).flatMap((row): StoredRow[] => {
        const known = laid.get(row.id);
        return known === undefined ? [row] : known.row === null ? [] : [known.row];
      });
      const added = above.all(kind).filter(({ id }) => laid.get(id)?.base === null);
      return [...changed, ...added] as never;
    },
  };
}

function byRow(overrides: readonly Override[]): Map<string, Wanted> {
  const rows = new Map<string, Wanted>();
  for (const each of overrides) {
    let ofRow = rows.get(each.id);
    if (ofRow === undefined) rows.set(each.id, (ofRow = { kind: each.kind, byField: new Map(), whole: null }));
    if (isOfField(each)) ofRow.byField.set(each.field, each);
    else ofRow.whole = each;
  }
  return rows;
}

/** True where the same is to lie over a row as before: then nothing has to be laid anew. */
function isSameWanted(one: Wanted | undefined, other: Wanted | undefined): boolean {
  if (one === undefined || other === undefined || one.byField.size !== other.byField.size) return false;
  const texts = [one, other].map(({ byField, whole }) => JSON.stringify([[...byField.values()], whole]));
  return texts[0] === texts[1];
}

/** A row as it is with what is to lie over it; undefined where that makes nothing of it another. */
function laidOver(base: StoredRow | null, { kind, byField, whole }: Wanted): LaidRow | undefined {
  if (base === null) return whole?.how === 'create' ? addedRow(kind, whole.row, byField) : undefined;
  const nothing = { overrides: new Map<string, FieldOverride>(), refusals: new Map<string, Problem>() };
  if (whole?.how === 'remove') return { kind, base, row: null, ...nothing };
  return changedRow(kind, base, byField);
}

/** A row that is added; undefined where it is none that its class knows. */
function addedRow(kind: Kind, given: object, byField: Wanted['byField']): LaidRow | undefined {
  const complete = completeRow(kind, given);
  if (validateRow(kind, complete).length > 0) return undefined;
  const row: StoredRow = { ...complete, version: 1 };
  const changed = changedRow(kind, row, byField);
  return { kind, base: null, row: changed?.row ?? row, overrides: new Map(), refusals: new Map() };
}

/** A row with overrides over its fields; undefined where none of them makes it another. */
function changedRow(kind: Kind, base: StoredRow, byField: Wanted['byField']): LaidRow | undefined {
  const fields: Record<string, unknown> = {};
  for (const [field, override] of byField) {
    const value = overriddenValue(override, fieldValue(base, field));
    if (!isSame(value, fieldValue(base, field))) fields[field] = value;
  }
  if (Object.keys(fields).length === 0) return undefined;
  const refusals = new Map<string, Problem>();
  for (const problem of validateFields(kind, base.id, fields)) {
    refusals.set(problem.field ?? '', problem);
    delete fields[problem.field ?? ''];
  }
  const differing = new Map([...byField].filter(([field]) => field in fields || refusals.has(field)));
  return { kind, base, row: { ...base, ...fields }, overrides: differing, refusals };
}

/** The same value, however many zeros it is written with. */
const isSame = (one: unknown, other: unknown) =>
  one === other || (isDecimalText(one) && isDecimalText(other) && compareDecimalText(one, other) === 0);

const MOST_DECIMALS = 12;

/** The value of an override over that of the book. Only numbers are moved and multiplied, to the decimals that a row may hold. */
export function overriddenValue(override: FieldOverride, base: unknown): unknown {
  if (override.how === 'set') return override.value;
  if (typeof base !== 'number' && !isDecimalText(base)) return base;
  const before = decimal(base);
  const moved = override.how === 'add' ? before.plus(override.by) : before.mul(override.by);
  const value = moved.toDecimalPlaces(MOST_DECIMALS, Decimal.ROUND_HALF_UP).toFixed();
  return typeof base === 'number' ? Number(value) : value;
}
