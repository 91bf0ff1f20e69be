import { fieldsOf, KIND_LABELS } from '../kinds.js';
import { changedFields } from './reverse-change.js';
import { fieldValue, type Write } from './stored-row.js';

const say = (value: unknown) =>
  value === null || value === '' ? 'nothing' : value === true ? 'yes' : value === false ? 'no' : String(value);

const textOf = (row: object, field: string) => {
  const value = fieldValue(row, field);
  return typeof value === 'string' ? value : undefined;
};

/** What a row is told apart by in a sentence: its name, that of what it belongs to, or the currency that it is about. */
function subjectOf(row: object, nameOf: (id: string) => string | undefined): string {
  const owner = ['materialId', 'componentId', 'productId'].map((field) => textOf(row, field)).find(Boolean);
  return textOf(row, 'name') ?? (owner === undefined ? textOf(row, 'currency') : nameOf(owner)) ?? '';
}

/**
 * Says in words what a change did, one sentence a row: "White slip: pack price 31.00 → 33.50".
 * `nameOf` gives the name of the row that a reference points to, and of what a nameless row belongs to.
 */
export function describeWrites(writes: readonly Write[], nameOf: (id: string) => string | undefined): string[] {
  return writes.map((write) => {
    const subject = subjectOf(write.after ?? write.before ?? {}, nameOf);
    const what = subject === '' ? KIND_LABELS[write.kind] : `${subject} (${KIND_LABELS[write.kind]})`;
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
