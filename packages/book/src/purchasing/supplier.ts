import { Name, Row, Text } from '../fields/index.js';

/** Someone from whom materials are bought. */
export class Supplier extends Row {
  @Name({ label: 'Name' })
  name!: string;

  /** The set of charge rules that its shipments are given. */
  @Text({ label: 'Set of charge rules' })
  ruleSet = '';
}
