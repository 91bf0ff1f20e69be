import { IsUUID } from 'class-validator';

/** What every row of a book has: an id, a UUIDv7 made where the row is made. */
export abstract class Row {
  @IsUUID('all', { message: 'The id must be a UUID.' })
  id!: string;
}
