import { Choice, DecimalText, Name, Reference, Row, WholeNumber } from '../fields/index.js';

/** By what the cost of a joint batch is split over its products. */
export const JOINT_METHODS = [
  'quantity',
  'sales value at split-off',
  'net realisable value',
  'constant margin',
] as const;
export type JointMethod = (typeof JOINT_METHODS)[number];

/** What a by-product brings is taken off the joint cost, or shown as income. */
export const BY_PRODUCT_RULES = ['taken off the joint cost', 'income'] as const;
export type ByProductRule = (typeof BY_PRODUCT_RULES)[number];

/** One batch out of which several products come together. */
export class JointProcess extends Row {
  @Name({ label: 'Joint batch' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  /** The product whose bill and steps say what the batch costs up to split-off. */
  @Reference('product', { label: 'Costed by', goesWithTarget: false, nullable: true })
  productId: string | null = null;

  /** What the batch costs up to split-off, where no bill says it. */
  @DecimalText({ label: 'Joint cost', from: '0', to: '1000000000', nullable: true })
  jointCost: string | null = null;

  @Choice(JOINT_METHODS, { label: 'Split by' })
  method: JointMethod = 'net realisable value';

  @Choice(BY_PRODUCT_RULES, { label: 'By-products' })
  byProducts: ByProductRule = 'taken off the joint cost';
}
