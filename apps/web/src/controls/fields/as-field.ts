import { newId, validateFields, type Kind } from '@nuvar/book';
import { ValidateBy } from 'class-validator';

/** Holds a field of a form against the rules of a field of a row, which it will become. */
export function AsField(kind: Kind, field: string): PropertyDecorator {
  const problemOf = (value: unknown) =>
    validateFields(kind, newId(), { [field]: typeof value === 'string' ? value.trim() : value })[0];
  return ValidateBy({
    name: `${kind}.${field}`,
    validator: {
      validate: (value) => problemOf(value) === undefined,
      defaultMessage: (given) => problemOf(given?.value)?.sentence ?? '',
    },
  });
}
