import { ValidateBy } from 'class-validator';
import { isRowId } from './row-id.js';

/** What every row of a book has: an id, a UUIDv7 made where the row is made. */
export abstract class Row {
  @ValidateBy({
    name: 'rowId',
    validator: { validate: isRowId, defaultMessage: () => 'The id must be a UUID in small letters.' },
  })
  id!: string;
}
