import { Name, Row, Text, WholeNumber } from '../fields/index.js';

/** By what shared costs are apportioned to departments: floor area, head count, value of equipment. */
export class ApportionmentBasis extends Row {
  @Name({ label: 'Apportionment basis' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Text({ label: 'Counted in' })
  countedIn = '';
}
