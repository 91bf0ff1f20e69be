import { Choice, DecimalText, Name, Reference, Row, WholeNumber } from '../fields/index.js';
import { COST_BEHAVIOURS, type CostBehaviour } from './cost-behaviour.js';

export const OTHER_COST_BASES = ['unit', 'batch'] as const;
export type OtherCostBasis = (typeof OTHER_COST_BASES)[number];

/** A direct expense of a product that is neither a material nor labour: a licence, a firing paid by the shelf. */
export class OtherCost extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Cost' })
  name!: string;

  @DecimalText({ label: 'Amount', from: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  /** Per good unit, or per batch. */
  @Choice(OTHER_COST_BASES, { label: 'Per' })
  basis: OtherCostBasis = 'unit';

  @Choice(COST_BEHAVIOURS, { label: 'Behaviour' })
  behaviour: CostBehaviour = 'variable';
}
