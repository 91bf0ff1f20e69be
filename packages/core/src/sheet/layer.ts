import {
  bookRows,
  type BookRows,
  compareDecimalText,
  fieldValue,
  isDecimalText,
  type Kind,
  type Problem,
  type StoredRow,
  validateFields,
} from '@nuvar/book';
import { Decimal, decimal } from '../number/index.js';
import type { Source } from './cell.js';
import type { Touched } from './cells.js';
import { touchedBy } from './touched.js';

/** Puts another value in the place of a field of a row, in a what-if or a trial: set to it, moved by an amount, or scaled. */
export type Override = { readonly kind: Kind; readonly id: string; readonly field: string } & (
  | { readonly how: 'set'; readonly value: string | number | boolean | null }
  | { readonly how: 'add' | 'scale'; readonly by: string }
);

/** A row with overrides laid over it. */
export interface LaidRow {
  readonly kind: Kind;
  readonly base: StoredRow;
  /** The row as it counts: with all overrides that fit. */
  readonly row: StoredRow;
  readonly overrides: ReadonlyMap<string, Override>;
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

type ByField = Map<string, Override>;

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
  let overrides = new Map<string, { kind: Kind; byField: ByField }>();
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
    const now = wanted && base ? laidOver(kind, base, wanted.byField) : undefined;
    put(kind, id, before, now);
    if (before === undefined && now === undefined) return [];
    return touchedBy(kind, before?.row ?? base, now?.row ?? base);
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
    rows: {
      row: (kind, id) => (laid.get(id)?.row ?? below.row(kind, id)) as never,
      rowsWith: (kind, field, value) => {
        const kept = below.rowsWith(kind, field, value).filter(({ id }) => !laid.has(id));
        return [...kept, ...above.rowsWith(kind, field, value)];
      },
      all: (kind) => below.all(kind).map((row) => (laid.get(row.id)?.row ?? row) as never),
    },
    laid: (id) => laid.get(id),
    isTouched: (source, id) => touched.has(source, id),
    lay(wanted) {
      const before = [...overrides];
      overrides = byRow(wanted);
      return relayAll([...new Map([...before, ...overrides])].map(([id, { kind }]) => ({ kind, id })));
    },
    follow: (rows) => relayAll(rows.filter(({ kind, id }) => overrides.get(id)?.kind === kind)),
  };
}

function byRow(overrides: readonly Override[]): Map<string, { kind: Kind; byField: ByField }> {
  const rows = new Map<string, { kind: Kind; byField: ByField }>();
  for (const each of overrides) {
    let ofRow = rows.get(each.id);
    if (ofRow === undefined) rows.set(each.id, (ofRow = { kind: each.kind, byField: new Map() }));
    ofRow.byField.set(each.field, each);
  }
  return rows;
}

/** A row with overrides over it; undefined where none of them makes it another. */
function laidOver(kind: Kind, base: StoredRow, byField: ByField): LaidRow | undefined {
  const fields: Record<string, unknown> = {};
  for (const [field, override] of byField) {
    const value = valueOf(override, fieldValue(base, field));
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

/** The value of an override over that of the book. Only numbers are moved and scaled, by the decimals that a row may hold. */
function valueOf(override: Override, base: unknown): unknown {
  if (override.how === 'set') return override.value;
  if (typeof base !== 'number' && !isDecimalText(base)) return base;
  const before = decimal(base);
  const moved = override.how === 'add' ? before.plus(override.by) : before.mul(override.by);
  const value = moved.toDecimalPlaces(MOST_DECIMALS, Decimal.ROUND_HALF_UP).toFixed();
  return typeof base === 'number' ? Number(value) : value;
}
