import {
  fieldValue,
  inOrderOfWhatIf,
  type Kind,
  labelOfKind,
  readOverride,
  type RowOf,
  type StoredRow,
  valueWords,
  type WhatIfWay,
} from '@nuvar/book';
import type { Place } from '../../figure/index.js';
import type { Evaluation, RowsBelow } from '../../sheet/index.js';
import { layWhatIf, movedSince } from '../../what-if/index.js';
import { overrideWords, namesIn } from './row-words.js';

/** One change of a what-if, as its list shows it. */
export interface WhatIfChangeView {
  readonly id: string;
  readonly how: WhatIfWay;
  readonly subject: string;
  readonly kindLabel: string;
  readonly fieldLabel: string;
  /** What the book says, and what the what-if makes of it, in words. */
  readonly before: string;
  readonly after: string;
  /** What is added or multiplied by, in words; empty where the value is set. */
  readonly by: string;
  readonly bulk: string;
  readonly note: string;
  /** Why it does not count, in a sentence. */
  readonly refusal: string | null;
  /** True where a later change of the same field counts in its place. */
  readonly isReplaced: boolean;
  /** What the book said when it was made, and says now, where that has moved. */
  readonly moved: { readonly was: string; readonly now: string } | null;
  readonly place: Place | null;
}

export interface WhatIfView {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly changes: readonly WhatIfChangeView[];
}

/** A what-if with its changes in the order in which they count, over the book as it is; null where there is none. */
export function whatIfView(evaluation: Evaluation, id: string): WhatIfView | null {
  const { rows, sheet } = evaluation;
  const whatIf = sheet.row('whatIf', id);
  if (whatIf === undefined) return null;
  const { refusals, replacedBy } = layWhatIf(rows, id);
  const changes = inOrderOfWhatIf(sheet.rowsOf('whatIfChange', 'whatIfId', id));
  return {
    id,
    name: whatIf.name,
    note: whatIf.note,
    changes: changes.map((change) => ({
      ...changeWords(evaluation, change),
      id: change.id,
      how: change.how,
      bulk: change.bulk,
      note: change.note,
      refusal: refusals.get(change.id) ?? null,
      isReplaced: replacedBy.has(change.id),
      moved: movedWords(evaluation, change),
    })),
  };
}

type Words = Pick<WhatIfChangeView, 'subject' | 'kindLabel' | 'fieldLabel' | 'before' | 'after' | 'by' | 'place'>;

function changeWords({ rows, sheet }: Evaluation, change: RowOf<'whatIfChange'>): Words {
  const reading = readOverride(change);
  if (!('override' in reading))
    return {
      subject: change.rowKind,
      kindLabel: '',
      fieldLabel: change.field,
      before: '',
      after: '',
      by: '',
      place: null,
    };
  const { override } = reading;
  const { locale } = sheet.settings();
  const { subject, kindLabel, fieldLabel, before, after, kind, id, field } = overrideWords(
    override,
    rows,
    rows,
    locale,
  );
  const isNumber = override.how === 'add' || override.how === 'scale';
  const by = isNumber ? valueWords(kind, field, override.by, () => undefined, locale) : '';
  return {
    subject,
    kindLabel,
    fieldLabel,
    before,
    after,
    by,
    place: { kind, id, field: field === '' ? 'name' : field },
  };
}

function movedWords({ rows, sheet }: Evaluation, change: RowOf<'whatIfChange'>): WhatIfChangeView['moved'] {
  const moved = movedSince(rows, change);
  if (moved === null) return null;
  const { locale } = sheet.settings();
  const words = (value: unknown) => valueWords(change.rowKind as Kind, change.field, value, namesIn([rows]), locale);
  return { was: words(moved.was), now: words(moved.now) };
}

/** The fields that a what-if changes, each with what the book says of it in words: by "row.field", and the rows that it adds by their id. */
export interface WhatIfMarks {
  readonly name: string;
  readonly count: number;
  readonly fields: Readonly<Record<string, string>>;
  readonly added: Readonly<Record<string, string>>;
  /** How many changes do not count. */
  readonly refused: number;
}

/** What screens mark while a what-if is open; null where there is none. */
export function whatIfMarksView({ rows, sheet }: Evaluation, id: string): WhatIfMarks | null {
  const whatIf = sheet.row('whatIf', id);
  if (whatIf === undefined) return null;
  const { writes, refusals } = layWhatIf(rows, id);
  const { locale } = sheet.settings();
  const nameOf = namesIn([rows]);
  const fields: Record<string, string> = {};
  const added: Record<string, string> = {};
  for (const { kind, id: rowId, before, after } of writes) {
    if (before === null) added[rowId] = labelOfKind(kind);
    const former = before === null && kind === 'supplierPrice' ? priceBefore(rows, after) : null;
    if (former !== null) fields[`${rowId}.price`] = valueWords(kind, 'price', former, nameOf, locale);
    if (before === null || after === null) continue;
    for (const [field, value] of Object.entries(after))
      if (field !== 'version' && fieldValue(before, field) !== value)
        fields[`${rowId}.${field}`] = valueWords(kind, field, fieldValue(before, field), nameOf, locale);
  }
  const count = sheet.rowsOf('whatIfChange', 'whatIfId', id).length;
  return { name: whatIf.name, count, fields, added, refused: refusals.size };
}

/** A price that is new takes the place of the one in force: what the book says that a pack costs on that day, from that supplier. */
function priceBefore(rows: RowsBelow, added: StoredRow | null): string | null {
  const { materialId, supplierId, validFrom } = added as StoredRow<'supplierPrice'>;
  const former = rows
    .rowsWith('supplierPrice', 'materialId', materialId)
    .filter((each) => each.supplierId === supplierId && each.validFrom <= validFrom)
    .sort((one, other) => (one.validFrom < other.validFrom ? -1 : 1));
  return former.at(-1)?.price ?? null;
}
