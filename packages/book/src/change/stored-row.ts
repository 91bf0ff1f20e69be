import type { FieldSpec } from '../fields/index.js';
import { fieldsOf, type Kind, type RowOf } from '../kinds.js';

/** A row as it is kept: its fields, and a version that rises by one with every update. */
export type StoredRow<K extends Kind = Kind> = RowOf<K> & { readonly version: number };

/** What has to be known of a field to keep it. */
export type StoredField = Pick<FieldSpec, 'name' | 'type' | 'nullable'>;

/** The fields of a kind of row as it is kept: its id and version, and then those that its class declares. */
export function storedFields(kind: Kind): readonly StoredField[] {
  return [
    { name: 'id', type: 'reference', nullable: false },
    { name: 'version', type: 'integer', nullable: false },
    ...fieldsOf(kind),
  ];
}

/** What the rules of a change need to know of a book. Web and server each offer it over what they hold. */
export interface BookReader {
  row(kind: Kind, id: string): StoredRow | undefined;
  /** Rows whose field has that value: names and other texts are compared by `nameKey`, ids and units as they are. */
  rowsWith(kind: Kind, field: string, value: string): readonly StoredRow[];
}

/** What a change does to one row. `before` is null for a new row, `after` for one that goes. */
export interface Write {
  readonly kind: Kind;
  readonly id: string;
  readonly before: StoredRow | null;
  readonly after: StoredRow | null;
}

/** Reads one field of a row by its name. */
export function fieldValue(row: object, field: string): unknown {
  return (row as Record<string, unknown>)[field];
}
