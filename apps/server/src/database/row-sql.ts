/** Foreign keys hold at the end of a transaction, so that the operations of a change may come in any order. */
export const pointsTo = (column: string, table: string) =>
  `FOREIGN KEY (book_id, ${column}) REFERENCES ${table} (book_id, id) DEFERRABLE INITIALLY DEFERRED`;

/** The columns that every table of rows begins with. */
export const ROW =
  'book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, id uuid NOT NULL, version integer NOT NULL CHECK (version > 0), PRIMARY KEY (book_id, id)';

/** Names that no two rows of a book share, capital letters or not. */
export const uniqueName = (table: string) =>
  `CREATE UNIQUE INDEX row_${table}_name ON row_${table} (book_id, lower(name))`;

/** An index by which the rows that point to another are found. */
export const findsBy = (table: string, column: string) =>
  `CREATE INDEX row_${table}_${column} ON row_${table} (book_id, ${column})`;
