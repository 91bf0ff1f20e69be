import {
  type CreateOperation,
  fieldsOf,
  type FieldSpec,
  fieldValue,
  newId,
  type Kind,
  type Operation,
  type StoredRow,
} from '@nuvar/book';
import { createOf, updateOf } from '../../book/operations.js';
import { typedText } from '../../figures/format.js';
import type { Reading } from './grid-model.js';
import { isRefusal, readField } from '../fields/read-field.js';
import { removalInBook } from './rows-writer.js';

/** A number that is kept in a row between two others: units of a plan in a month, the percent of a pool for an activity. */
export interface NumberBetween {
  readonly kind: Kind;
  readonly field: string;
}

/** Writes such a number into the row between the two: with the first number the row comes, and emptied it goes. */
export function writeBetween(
  { kind, field }: NumberBetween,
  known: StoredRow | undefined,
  between: Readonly<Record<string, string | number>>,
  amount: string | null,
): Operation[] {
  if (amount === null) return known === undefined ? [] : removalInBook(kind, known.id);
  return known === undefined
    ? [createOf(kind, newId(), { ...between, [field]: amount })]
    : updateOf(kind, known, { [field]: amount });
}

/** The row between others that the same change makes already: two of its fields come into one row. */
export function madeBetween(
  kind: Kind,
  between: Readonly<Record<string, string | number>>,
  before: readonly Operation[],
): CreateOperation | undefined {
  return before.find(
    (each): each is CreateOperation =>
      each.action === 'create' &&
      each.kind === kind &&
      Object.entries(between).every(([name, id]) => fieldValue(each.row, name) === id),
  );
}

/** What writes one more field of such a row; `emptied` is what the field holds where nothing was typed. */
export function writeIntoMade(
  { kind, row }: CreateOperation,
  field: string,
  value: string | null,
  emptied: string | null,
): Operation[] {
  const at = fieldValue(row, field) ?? emptied;
  return at === value
    ? []
    : [{ action: 'update', kind, id: row.id, before: { [field]: at }, after: { [field]: value } }];
}

/** What is typed into the cell of such a number, as the patch of a row; nothing typed empties it. */
export function readBetween<Patch>(
  { kind, field }: NumberBetween,
  text: string,
  { header, locale }: { readonly header: string; readonly locale: string },
  patchOf: (amount: string | null) => Patch,
): Reading<Patch> {
  if (text.trim() === '') return { patch: patchOf(null), shown: '' };
  const spec = fieldsOf(kind).find(({ name }) => name === field) as FieldSpec;
  const reading = readField({ ...spec, label: header }, text, locale);
  if (isRefusal(reading)) return reading;
  return { patch: patchOf(reading.value as string), shown: typedText(reading.shown, locale) };
}
