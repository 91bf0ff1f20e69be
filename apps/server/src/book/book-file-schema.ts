import { BOOK_FILE_VERSION, STORED_KINDS, KINDS } from '@nuvar/book';
import { rowSchemas } from '../http/row-schemas.js';

/** The JSON Schema of a book file, made from the row classes. Fields that have a default may be left out. */
export function bookFileSchema(): object {
  const schemas = rowSchemas('#/$defs/');
  const rowOf = (kind: (typeof STORED_KINDS)[number]) => {
    const { required: _required, ...schema } = schemas[KINDS[kind].rowClass.name] as {
      required?: string[];
      properties: object;
    };
    return [KINDS[kind].rowClass.name, { ...schema, required: ['id'], additionalProperties: false }] as const;
  };
  const lists = STORED_KINDS.map(
    (kind) => [kind, { type: 'array', items: { $ref: `#/$defs/${KINDS[kind].rowClass.name}` } }] as const,
  );
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Nuvar book file',
    type: 'object',
    required: ['format', 'version', 'rows'],
    properties: {
      format: { const: 'nuvar-book' },
      version: { const: BOOK_FILE_VERSION },
      rows: {
        type: 'object',
        required: ['settings'],
        properties: Object.fromEntries(lists),
        additionalProperties: false,
      },
    },
    additionalProperties: false,
    $defs: Object.fromEntries(STORED_KINDS.map(rowOf)),
  };
}
