import 'reflect-metadata';
import { validateSync } from 'class-validator';
import { type Kind, KINDS, labelOfKind, type RowOf } from './kinds.js';
import { problem, type Problem } from './problem/index.js';

/** A row of that kind with the defaults of its class, and the given fields over them. */
export function completeRow<K extends Kind>(kind: K, given: object): RowOf<K> {
  return { ...new KINDS[kind].rowClass(), ...given } as RowOf<K>;
}

/**
 * Holds a row against its class: every field is there, of its type and within its bounds, and no other.
 * Returns one problem a field, none where the row is right.
 */
export function validateRow(kind: Kind, row: object): Problem[] {
  return problemsOf(kind, Object.assign(new KINDS[kind].rowClass(), row), false);
}

/** Holds some fields of a row against its class, as if the others were right: quicker where few of many are in doubt. */
export function validateFields(kind: Kind, id: string, fields: Readonly<Record<string, unknown>>): Problem[] {
  const { prototype } = KINDS[kind].rowClass as { prototype: object };
  return problemsOf(kind, Object.assign(Object.create(prototype) as object, { id }, fields), true);
}

function problemsOf(kind: Kind, instance: object, isPartial: boolean): Problem[] {
  const errors = validateSync(instance, {
    whitelist: true,
    forbidNonWhitelisted: true,
    skipUndefinedProperties: isPartial,
    validationError: { target: false },
  });
  const rowId = 'id' in instance && typeof instance.id === 'string' ? { rowId: instance.id } : {};
  return errors.map((error) => {
    const constraints = error.constraints ?? {};
    if ('whitelistValidation' in constraints) {
      return problem('unknown-field', {
        kind,
        ...rowId,
        field: error.property,
        values: { kind: labelOfKind(kind), field: error.property },
      });
    }
    const detail = Object.values(constraints)[0] ?? `${error.property} is not right.`;
    return problem('invalid-field', { kind, ...rowId, field: error.property, values: { detail } });
  });
}
