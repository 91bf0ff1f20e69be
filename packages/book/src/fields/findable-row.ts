import { Flag, Text } from './field.js';
import { Row } from './row.js';

/** A row of which a book has many: it is found by code, category and tags, and archived rather than removed while used. */
export class FindableRow extends Row {
  /** The business's own number of it. */
  @Text({ label: 'Code' })
  code = '';

  @Text({ label: 'Category' })
  category = '';

  /** Words by which it is found, between commas. */
  @Text({ label: 'Tags' })
  tags = '';

  /** No longer in use, and kept because something still refers to it. */
  @Flag({ label: 'Archived' })
  archived = false;
}
