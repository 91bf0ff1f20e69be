import { DecimalText, Flag } from './field.js';
import { Row } from './row.js';

/** A row with an amount that is paid, and with the sales tax on it. */
export class TaxedRow extends Row {
  /** Empty where no tax is stated: then the amount is taken as it is. */
  @DecimalText({ label: 'Tax %', from: '0', to: '100', nullable: true })
  taxPercent: string | null = null;

  /** True where the amount holds the tax, false where it comes on top; a tax that the buyer owes comes on top. */
  @Flag({ label: 'Tax inside' })
  taxInside = false;
}
