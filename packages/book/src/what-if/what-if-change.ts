import { isDecimalText, isRowId } from '../fields/index.js';
import { fieldsOf, isKind, type Kind, KINDS, labelOfKind } from '../kinds.js';
import { isLedger } from '../ledgers.js';
import type { WhatIfChange, WhatIfWay } from '../planning/index.js';
import type { Override } from './override.js';

/** What a change of a what-if says, or why it cannot be read. */
export type ReadOverride = { readonly override: Override } | { readonly detail: string };

type Fields = Pick<WhatIfChange, 'rowKind' | 'rowId' | 'field' | 'how' | 'value'>;

/** True for rows that a what-if may change: not for what-ifs themselves, nor for records of what really happened. */
export function isOpenToWhatIfs(kind: Kind): boolean {
  return !KINDS[kind].isDerived && !isLedger(kind) && kind !== 'whatIf' && kind !== 'whatIfChange';
}

/** Reads a change of a what-if as the override that it is. What the book holds is not looked at. */
export function readOverride({ rowKind, rowId, field, how, value }: Fields): ReadOverride {
  if (!isKind(rowKind)) return { detail: `there is no kind of row called "${rowKind.slice(0, 60)}"` };
  if (!isOpenToWhatIfs(rowKind)) return { detail: `a ${labelOfKind(rowKind)} is not changed in a what-if` };
  if (!isRowId(rowId)) return { detail: 'it names no row' };
  const at = { kind: rowKind, id: rowId };
  if (how === 'create' || how === 'remove') return wholeRow(at, how, field, value);
  const spec = fieldsOf(rowKind).find(({ name }) => name === field);
  if (spec === undefined) return { detail: `a ${labelOfKind(rowKind)} has no field called "${field.slice(0, 60)}"` };
  if (how === 'set') {
    const read = readValue(value);
    return read === undefined
      ? { detail: `"${value.slice(0, 60)}" is no value` }
      : { override: { ...at, field, how, value: read } };
  }
  if (spec.type !== 'decimal' && spec.type !== 'integer') return { detail: `${spec.label} is not a number` };
  const isNumber: boolean = isDecimalText(value);
  return isNumber
    ? { override: { ...at, field, how, by: value } }
    : { detail: `"${value.slice(0, 60)}" is not a number` };
}

function wholeRow(
  at: { readonly kind: Kind; readonly id: string },
  how: 'create' | 'remove',
  field: string,
  value: string,
): ReadOverride {
  if (field !== '') return { detail: 'a whole row has no field' };
  if (at.kind === 'settings') return { detail: 'the settings of a book can be changed, but neither added nor removed' };
  if (how === 'remove') return { override: { ...at, how } };
  const row = readJson(value);
  const isRow = typeof row === 'object' && row !== null && !Array.isArray(row) && 'id' in row && row.id === at.id;
  return isRow ? { override: { ...at, how, row: row as { id: string } } } : { detail: 'it holds no row' };
}

/** A value of a field as a change keeps it, in JSON; undefined where it is none. */
export function readValue(text: string): string | number | boolean | null | undefined {
  const read = readJson(text);
  return read === null || ['string', 'number', 'boolean'].includes(typeof read)
    ? (read as string | number | boolean | null)
    : undefined;
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

/** How an override is kept in a change of a what-if. */
export function writtenOverride(override: Override): Fields {
  const { kind: rowKind, id: rowId, how } = override;
  return { rowKind, rowId, field: 'field' in override ? override.field : '', how, value: valueText(override) };
}

function valueText(override: Override): string {
  if (override.how === 'create') return JSON.stringify(override.row);
  if (override.how === 'remove') return '';
  return override.how === 'set' ? JSON.stringify(override.value) : override.by;
}

/**
 * The changes of a what-if in the order in which they count: what was changed together comes before what was changed by
 * itself, and of two changes of one field the later counts.
 */
export function inOrderOfWhatIf<Change extends Pick<WhatIfChange, 'id' | 'position' | 'bulk'>>(
  changes: readonly Change[],
): Change[] {
  const rank = ({ bulk }: Change) => (bulk === '' ? 1 : 0);
  return [...changes].sort(
    (one, other) =>
      rank(one) - rank(other) || one.position - other.position || (one.id < other.id ? -1 : one.id > other.id ? 1 : 0),
  );
}

/** What a way is called, for the list of the changes of a what-if. */
export const WHAT_IF_WORDS: Readonly<Record<WhatIfWay, string>> = {
  set: 'set to',
  add: 'plus',
  scale: 'times',
  create: 'added',
  remove: 'removed',
};
