import { Choice, DecimalText, Reference, Row } from '../fields/index.js';

export const TYPED_ELEMENTS = ['materials', 'packaging', 'labour', 'other', 'equipment'] as const;
export type TypedElement = (typeof TYPED_ELEMENTS)[number];

/** What one good unit of a quick product costs by one element, typed as a total until somebody details it. */
export class TypedCost extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @Choice(TYPED_ELEMENTS, { label: 'Element' })
  element: TypedElement = 'materials';

  @DecimalText({ label: 'Amount per unit', from: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  /** For labour: the productive hours in one unit, by which the running costs are shared out. */
  @DecimalText({ label: 'Labour hours per unit', from: '0', to: '100000', nullable: true })
  hours: string | null = null;

  /** For labour: where these hours are worked. */
  @Reference('department', { label: 'Department', goesWithTarget: false, nullable: true })
  departmentId: string | null = null;
}
