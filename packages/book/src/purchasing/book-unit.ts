import { Name, Row } from '../fields/index.js';

/** A unit of the book's own, such as "tray" or "bundle". How much it is, each item says in its own conversions. */
export class BookUnit extends Row {
  @Name({ label: 'Unit' })
  name!: string;
}
