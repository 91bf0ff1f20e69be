import { Choice, DecimalText, Name, Row } from '../fields/index.js';

export const FEE_BASES = ['price before tax', 'price paid'] as const;
export type FeeBasis = (typeof FEE_BASES)[number];

/** A place to sell, with what it takes of each sale. */
export class Channel extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @DecimalText({ label: 'Percentage fee', from: '0', below: '100' })
  feePercent = '0';

  /** What the percentage is taken of: the price before tax, or all that the customer pays. */
  @Choice(FEE_BASES, { label: 'Charged on' })
  feeBasis: FeeBasis = 'price paid';

  @DecimalText({ label: 'Fixed fee per order', from: '0', to: '1000000' })
  feePerOrder = '0';

  @DecimalText({ label: 'Units per order', above: '0', to: '1000000' })
  unitsPerOrder = '1';
}
