import { Day, DecimalText, Reference, Row } from '../fields/index.js';

/** The amount of a running cost from a day on that is known in advance: the rent from July. */
export class CostIncrease extends Row {
  @Reference('runningCost', { label: 'Running cost', goesWithTarget: true })
  runningCostId!: string;

  @Day({ label: 'From' })
  validFrom!: string;

  @DecimalText({ label: 'New amount', from: '0', to: '1000000000' })
  amount!: string;
}
