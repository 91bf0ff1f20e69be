import 'reflect-metadata';
import { validateSync } from 'class-validator';
import { KIND_LABELS, KINDS, type Kind, type RowOf } from './kinds.js';
import { problem, type Problem } from './problem/index.js';

/** A row of that kind with the defaults of its class, and the given fields over them. */
export function completeRow<K extends Kind>(kind: K, given: object): RowOf<K> {
  return { ...new KINDS[kind](), ...given } as RowOf<K>;
}

/**
 * Holds a row against its class: every field is there, of its type and within its bounds, and no other.
 * Returns one problem a field, none where the row is right.
 */
export function validateRow(kind: Kind, row: object): Problem[] {
  const instance = Object.assign(new KINDS[kind](), row);
  const errors = validateSync(instance, {
    whitelist: true,
    forbidNonWhitelisted: true,
    validationError: { target: false },
  });
  const rowId = 'id' in row && typeof row.id === 'string' ? { rowId: row.id } : {};
  return errors.map((error) => {
    const constraints = error.constraints ?? {};
    if ('whitelistValidation' in constraints) {
      return problem('unknown-field', {
        kind,
        ...rowId,
        field: error.property,
        values: { kind: KIND_LABELS[kind], field: error.property },
      });
    }
    const detail = Object.values(constraints)[0] ?? `${error.property} is not right.`;
    return problem('invalid-field', { kind, ...rowId, field: error.property, values: { detail } });
  });
}
