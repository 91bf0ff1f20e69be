import 'reflect-metadata';
import { validateSync } from 'class-validator';
import { isRowId } from './fields/index.js';
import { fieldsOf, type Kind, KIND_NAMES, KINDS, labelOfKind, type RowOf } from './kinds.js';
import { problem, type Problem } from './problem/index.js';
import { isRightRow } from './row-check.js';

/** A row of that kind with the defaults of its class, and the given fields over them. */
export function completeRow<K extends Kind>(kind: K, given: object): RowOf<K> {
  return { ...new KINDS[kind].rowClass(), ...given } as RowOf<K>;
}

/**
 * Holds a row against its class: every field is there, of its type and within its bounds, and no other.
 * Returns one problem a field, none where the row is right.
 */
export function validateRow(kind: Kind, row: object): Problem[] {
  const strange = unknownFields(kind, row);
  if (strange.length > 0) return strange;
  return isRightRow(kind, row) ? [] : problemsOf(kind, Object.assign(new KINDS[kind].rowClass(), row), false);
}

/** Holds some fields of a row against its class, as if the others were right: quicker where few of many are in doubt. */
export function validateFields(kind: Kind, id: string, fields: Readonly<Record<string, unknown>>): Problem[] {
  const strange = unknownFields(kind, fields);
  if (strange.length > 0) return strange;
  const row = { id, ...fields };
  if (isRightRow(kind, row, true)) return [];
  const { prototype } = KINDS[kind].rowClass as { prototype: object };
  return problemsOf(kind, Object.assign(Object.create(prototype) as object, row), true);
}

const KNOWN_FIELDS = new Map(
  KIND_NAMES.map((kind) => [kind, new Set(['id', ...fieldsOf(kind).map(({ name }) => name)])]),
);

/**
 * The fields that the class of a row does not declare. They are looked for before the row becomes an instance of its
 * class: a field called `__proto__` or `constructor` would take the place of the class itself.
 */
function unknownFields(kind: Kind, row: object): Problem[] {
  return Object.keys(row)
    .filter((field) => !KNOWN_FIELDS.get(kind)?.has(field))
    .map((field) =>
      problem('unknown-field', {
        kind,
        ...idOf(row),
        field: field.slice(0, 60),
        values: { kind: labelOfKind(kind), field: field.slice(0, 60) },
      }),
    );
}

const idOf = (row: object) => ('id' in row && isRowId(row.id) ? { rowId: row.id } : {});

function problemsOf(kind: Kind, instance: object, isPartial: boolean): Problem[] {
  return validateSync(instance, { skipUndefinedProperties: isPartial, validationError: { target: false } }).map(
    ({ constraints = {}, property }) => {
      const detail = Object.values(constraints)[0] ?? `${property} is not right.`;
      return problem('invalid-field', { kind, ...idOf(instance), field: property, values: { detail } });
    },
  );
}
