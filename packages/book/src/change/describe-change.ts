import { dayText, numberText } from '../country/index.js';
import type { FieldSpec } from '../fields/index.js';
import { fieldsOf, type Kind, KINDS, labelOfKind } from '../kinds.js';
import { changedFields } from './reverse-change.js';
import { fieldValue, type Write } from './stored-row.js';

/** A value of a field in words: numbers and days as the country writes them. */
function say({ type }: Pick<FieldSpec, 'type'>, value: unknown, locale: string): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (type === 'decimal' || type === 'integer') return numberText(String(value), locale);
  return type === 'day' ? dayText(String(value), locale) : String(value);
}

const textOf = (row: object, field: string) => {
  const value = fieldValue(row, field);
  return typeof value === 'string' ? value : undefined;
};

/** What a row is told apart by in a sentence: its name, or as its kind says: that of what it points to, or its own text. */
export function subjectOf(kind: Kind, row: object, nameOf: (id: string) => string | undefined): string {
  const own = textOf(row, 'name');
  if (own !== undefined) return own;
  const told = KINDS[kind].toldBy.map((field) => ({ field, text: textOf(row, field) })).find(({ text }) => text);
  if (told?.text === undefined) return '';
  const isReference = fieldsOf(kind).some(({ name, target }) => name === told.field && target !== undefined);
  return isReference ? (nameOf(told.text) ?? '') : told.text;
}

/** The numbers and days of a row that has no name of its own: they tell it apart from others of its kind. */
function told(kind: Kind, row: object | null, locale: string): string {
  if (row === null || textOf(row, 'name') !== undefined) return '';
  const said = fieldsOf(kind)
    .filter(({ type, name }) => (type === 'decimal' || type === 'day') && fieldValue(row, name) !== null)
    .map((spec) => `${spec.label.toLowerCase()} ${say(spec, fieldValue(row, spec.name), locale)}`);
  return said.length === 0 ? '' : `: ${said.slice(0, MOST_TOLD).join(', ')}`;
}

const MOST_TOLD = 3;

/**
 * Says in words what a change did, one sentence a row: "White slip: pack price 31.00 → 33.50".
 * `nameOf` gives the name of the row that a reference points to, and of what a nameless row belongs to; numbers and days
 * are written as in the country of `locale`.
 */
export function describeWrites(
  writes: readonly Write[],
  nameOf: (id: string) => string | undefined,
  locale: string,
): string[] {
  return writes.map((write) => {
    const subject = subjectOf(write.kind, write.after ?? write.before ?? {}, nameOf);
    const what = subject === '' ? labelOfKind(write.kind) : `${subject} (${labelOfKind(write.kind)})`;
    if (write.before === null) return `${what} added${told(write.kind, write.after, locale)}`;
    if (write.after === null) return `${what} removed`;
    const { before, after } = write;
    const moves = changedFields(write.kind, before, after).map((field) => {
      const value = (row: object) => valueWords(write.kind, field, fieldValue(row, field), nameOf, locale);
      return `${labelOfField(write.kind, field).toLowerCase()} ${value(before)} → ${value(after)}`;
    });
    return `${what}: ${moves.join(', ')}`;
  });
}

/** How a field of a kind of row is called. */
export const labelOfField = (kind: Kind, field: string): string =>
  fieldsOf(kind).find(({ name }) => name === field)?.label ?? field;

/** A value of a field in words: what it points to by its name, numbers and days as the country writes them. */
export function valueWords(
  kind: Kind,
  field: string,
  value: unknown,
  nameOf: (id: string) => string | undefined,
  locale: string,
): string {
  const spec = fieldsOf(kind).find((each) => each.name === field) ?? { type: 'text' };
  return (typeof value === 'string' && nameOf(value)) || say(spec, value, locale);
}
