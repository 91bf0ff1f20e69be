import { fieldsOf, STORED_KINDS, UNIQUELY_NAMED, type FieldSpec, type Kind } from '@nuvar/book';
import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';

/** The name of a column: plannedUnitsPerMonth → planned_units_per_month. */
export const columnName = (field: string) => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** The name of the table of a kind of row: supplierPrice → row_supplier_price. */
export const tableName = (kind: Kind) => `row_${columnName(kind)}`;

/** The type of the column for each type of field. */
export const COLUMN_TYPES: Record<FieldSpec['type'], EntitySchemaColumnOptions['type']> = {
  text: 'text',
  decimal: 'numeric',
  integer: 'integer',
  choice: 'text',
  reference: 'uuid',
  unit: 'text',
  currency: 'text',
  day: 'date',
  flag: 'boolean',
};

/** A row as its table keeps it. */
export type RowRecord = { bookId: string; id: string; version: number } & Record<string, unknown>;

function schemaOf(kind: Kind): EntitySchema<RowRecord> {
  const columns: Record<string, EntitySchemaColumnOptions> = {
    bookId: { type: 'uuid', primary: true, name: 'book_id' },
    id: { type: 'uuid', primary: true },
    version: { type: 'integer' },
  };
  for (const field of fieldsOf(kind)) {
    columns[field.name] = {
      type: COLUMN_TYPES[field.type],
      name: columnName(field.name),
      nullable: field.nullable,
    } as EntitySchemaColumnOptions;
  }
  return new EntitySchema<RowRecord>({ name: kind, tableName: tableName(kind), columns: columns as never });
}

/** The table of every kind of row that is kept, made from what the row classes declare. The migrations lay them down in SQL. */
export const ROW_TABLES = Object.fromEntries(STORED_KINDS.map((kind) => [kind, schemaOf(kind)])) as Record<
  Kind,
  EntitySchema<RowRecord>
>;

/** The column by which names are compared, in the tables of kinds whose names differ. It is no field of the row. */
export const NAME_KEY = 'name_key';

export const hasNameKey = (kind: Kind): boolean => UNIQUELY_NAMED.includes(kind);
