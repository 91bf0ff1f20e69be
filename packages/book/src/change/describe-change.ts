import { fieldsOf, KIND_LABELS } from '../kinds.js';
import { changedFields } from './reverse-change.js';
import { fieldValue, type Write } from './stored-row.js';

const say = (value: unknown) =>
  value === null || value === '' ? 'nothing' : value === true ? 'yes' : value === false ? 'no' : String(value);

/**
 * Says in words what a change did, one sentence a row: "White slip: pack price 31.00 → 33.50".
 * `nameOf` gives the name of the row that a reference points to, and of what a nameless row belongs to.
 */
export function describeWrites(writes: readonly Write[], nameOf: (id: string) => string | undefined): string[] {
  return writes.map((write) => {
    const row = write.after ?? write.before;
    const owner =
      row &&
      (['name', 'materialId', 'componentId', 'productId'] as const)
        .map((field) => fieldValue(row, field))
        .find((value) => typeof value === 'string');
    const subject =
      (typeof owner === 'string' && (nameOf(owner) ?? (fieldValue(row ?? {}, 'name') === owner ? owner : undefined))) ||
      '';
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
