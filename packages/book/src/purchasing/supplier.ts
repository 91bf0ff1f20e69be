import { Name, Row } from '../fields/index.js';

/** Someone from whom materials are bought. */
export class Supplier extends Row {
  @Name({ label: 'Name' })
  name!: string;
}
