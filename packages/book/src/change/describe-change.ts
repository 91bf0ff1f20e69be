import { fieldsOf, type Kind, KINDS, labelOfKind } from '../kinds.js';
import { changedFields } from './reverse-change.js';
import { fieldValue, type Write } from './stored-row.js';

const say = (value: unknown) =>
  value === null || value === '' ? 'nothing' : value === true ? 'yes' : value === false ? 'no' : String(value);

const textOf = (row: object, field: string) => {
  const value = fieldValue(row, field);
  return typeof value === 'string' ? value : undefined;
};

/** What a row is told apart by in a sentence: its name, or as its kind says: that of what it points to, or its own text. */
function subjectOf(kind: Kind, row: object, nameOf: (id: string) => string | undefined): string {
  const own = textOf(row, 'name');
  if (own !== undefined) return own;
  const told = KINDS[kind].toldBy.map((field) => ({ field, text: textOf(row, field) })).find(({ text }) => text);
  if (told?.text === undefined) return '';
  const isReference = fieldsOf(kind).some(({ name, target }) => name === told.field && target !== undefined);
  return isReference ? (nameOf(told.text) ?? '') : told.text;
}

/**
 * Says in words what a change did, one sentence a row: "White slip: pack price 31.00 → 33.50".
 * `nameOf` gives the name of the row that a reference points to, and of what a nameless row belongs to.
 */
export function describeWrites(writes: readonly Write[], nameOf: (id: string) => string | undefined): string[] {
  return writes.map((write) => {
    const subject = subjectOf(write.kind, write.after ?? write.before ?? {}, nameOf);
    const what = subject === '' ? labelOfKind(write.kind) : `${subject} (${labelOfKind(write.kind)})`;
    if (write.before === null) return `${what} added`;
    if (write.after === null) return `${what} removed`;
    const { before, after } = write;
    const value = (raw: unknown) => (typeof raw === 'string' && nameOf(raw)) || say(raw);
    const moves = changedFields(write.kind, before, after).map((field) => {
      const label = fieldsOf(write.kind).find((spec) => spec.name === field)?.label ?? field;
      return `${label.toLowerCase()} ${value(fieldValue(before, field))} → ${value(fieldValue(after, field))}`;
    });
    return `${what}: ${moves.join(', ')}`;
  });
}
