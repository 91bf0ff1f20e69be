import '@nuvar/book';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** JSON Schemas of the row classes, made from the decorators that validate them. */
export function rowSchemas(refPointerPrefix: string): Record<string, object> {
  return validationMetadatasToSchemas({
    refPointerPrefix,
    additionalConverters: {
      customValidation: () => ({}),
      decimalText: { type: 'string', pattern: '^-?(0|[1-9][0-9]{0,14})(\\.[0-9]{1,12})?$' },
      day: { type: 'string', format: 'date' },
      rowId: { format: 'uuid', type: 'string' },
      text: { type: 'string' },
      isIso4217Currency: { type: 'string', pattern: '^[A-Z]{3}$' },
    },
  }) as Record<string, object>;
}
