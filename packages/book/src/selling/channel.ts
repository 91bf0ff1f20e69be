import { DecimalText, Name, Row } from '../fields/index.js';

/** A place to sell; what it takes of each sale are its fees. */
export class Channel extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @DecimalText({ label: 'Units per order', above: '0', to: '1000000' })
  unitsPerOrder = '1';
}
