import {
  type FieldOverride,
  fieldValue,
  inOrderOfWhatIf,
  isOfField,
  labelOfField,
  labelOfKind,
  type Override,
  readOverride,
  type RowOf,
  ruleProblems,
  type StoredRow,
  validateFields,
  validateRow,
  type Write,
  completeRow,
} from '@nuvar/book';
import { layerOver, overriddenValue, type RowsBelow } from '../sheet/index.js';

type Change = RowOf<'whatIfChange'>;

/** A what-if as it counts over the book as it is now. */
export interface LaidWhatIf {
  /** The changes that count, in their order. */
  readonly overrides: readonly Override[];
  /** What these make of the rows of the book. */
  readonly writes: readonly Write[];
  /** Why a change does not count, in a sentence, by its id. A value that does not fit its field is laid all the same: it is a gap at its place. */
  readonly refusals: ReadonlyMap<string, string>;
  /** The changes in whose place a later one counts, by their id. */
  readonly replacedBy: ReadonlyMap<string, string>;
}

/** A what-if as it counts over the rows of a book: nothing where there is none of that id. */
export function layWhatIf(rows: RowsBelow, whatIfId: string): LaidWhatIf {
  return layChanges(rows, rows.rowsWith('whatIfChange', 'whatIfId', whatIfId));
}

interface Laying {
  readonly change: Change;
  readonly override: Override;
}

/**
 * Some changes of a what-if over the rows of a book. Of two changes of one field the later counts; what was changed together
 * comes before what was changed by itself. What cannot be read, is of a row that is gone, or breaks a rule of the book (a
 * loop of components, a name that is taken) does not count, and is said; the rest does.
 */
export function layChanges(rows: RowsBelow, changes: readonly Change[]): LaidWhatIf {
  const refusals = new Map<string, string>();
  const readable = inOrderOfWhatIf(changes).flatMap((change): Laying[] => {
    const reading = readOverride(change);
    if ('override' in reading) return [{ change, override: reading.override }];
    refusals.set(change.id, `This change cannot be read: ${reading.detail}.`);
    return [];
  });
  const { counting, replacedBy } = latestOnly(readable);
  let laid = counting.filter((each) => {
    const refusal = refusalOf(rows, each.override, counting);
    if (refusal !== null) refusals.set(each.change.id, refusal);
    return refusal === null || isLaidAllTheSame(rows, each.override);
  });
  let { writes, broken } = madeOf(rows, laid);
  // What breaks a rule is left out row by row; what then has nothing to stand on goes with it.
  while (broken.size > 0) {
    const kept = laid.filter(({ override }) => !broken.has(override.id));
    const without = kept.length < laid.length ? kept : [];
    for (const { change, override } of laid)
      if (!without.some((each) => each.change === change))
        refusals.set(change.id, broken.get(override.id) ?? [...broken.values()][0] ?? '');
    laid = without;
    ({ writes, broken } = madeOf(rows, laid));
  }
  return { overrides: laid.map(({ override }) => override), writes, refusals, replacedBy };
}

/** What each change is about: one field of a row, or a row as a whole. */
const targetOf = (override: Override) => `${override.id}.${isOfField(override) ? override.field : ''}`;

function latestOnly(readable: readonly Laying[]) {
  const latest = new Map<string, Laying>();
  for (const each of readable) latest.set(targetOf(each.override), each);
  const replacedBy = new Map<string, string>();
  const counting = readable.filter((each) => {
    const later = latest.get(targetOf(each.override)) as Laying;
    if (later !== each) replacedBy.set(each.change.id, later.change.id);
    return later === each;
  });
  return { counting, replacedBy };
}

/** Why an override cannot count over these rows; null where it does. */
function refusalOf(rows: RowsBelow, override: Override, all: readonly Laying[]): string | null {
  const { kind, id } = override;
  const base = rows.row(kind, id) as StoredRow | undefined;
  if (override.how === 'create')
    return base === undefined
      ? (validateRow(kind, completeRow(kind, override.row))[0]?.sentence ?? null)
      : `This ${labelOfKind(kind)} is in the book already.`;
  if (base !== undefined) return isOfField(override) ? refusalOfField(override, base) : null;
  const isAdded = all.some((each) => each.override.id === id && each.override.how === 'create');
  return isOfField(override) && isAdded ? null : `This ${labelOfKind(kind)} is no longer in the book.`;
}

function refusalOfField(override: FieldOverride, base: StoredRow): string | null {
  const { kind, id, field } = override;
  if (override.how === 'set') return validateFields(kind, id, { [field]: override.value })[0]?.sentence ?? null;
  const before = fieldValue(base, field);
  if (before !== null)
    return validateFields(kind, id, { [field]: overriddenValue(override, before) })[0]?.sentence ?? null;
  const what = override.how === 'add' ? 'nothing can be added to it' : 'it cannot be multiplied';
  return `${labelOfField(kind, field)} is empty, so ${what}. Set it to a value.`;
}

/** A value that does not fit its field is laid, so that it is a gap where it stands and not a value that nobody typed. */
function isLaidAllTheSame(rows: RowsBelow, override: Override): boolean {
  const base = rows.row(override.kind, override.id) as StoredRow | undefined;
  if (base === undefined || !isOfField(override)) return false;
  return override.how === 'set' || fieldValue(base, override.field) !== null;
}

interface Made {
  readonly writes: Write[];
  /** The rows whose changes break a rule of the book, each with the sentence that says which. */
  readonly broken: ReadonlyMap<string, string>;
}

/** What changes make of the rows of the book. */
function madeOf(rows: RowsBelow, laid: readonly Laying[]): Made {
  const layer = layerOver(rows);
  layer.lay(laid.map(({ override }) => override));
  const touched = new Map(laid.map(({ override: { kind, id } }) => [id, kind]));
  const writes = [...touched].flatMap(([id, kind]): Write[] => {
    const before = (rows.row(kind, id) as StoredRow | undefined) ?? null;
    const after = (layer.rows.row(kind, id) as StoredRow | undefined) ?? null;
    return before === after ? [] : [{ kind, id, before, after }];
  });
  const problems = writes.length === 0 ? [] : ruleProblems(layer.rows, writes);
  return { writes, broken: new Map(problems.map(({ rowId, sentence }) => [rowId ?? '', sentence])) };
}
