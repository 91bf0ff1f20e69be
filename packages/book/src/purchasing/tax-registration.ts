import { Day, DecimalText, Flag, Row } from '../fields/index.js';

/** From which day on the business is registered for sales tax, or no longer is, and how much input tax it recovers. */
export class TaxRegistration extends Row {
  @Day({ label: 'From' })
  validFrom!: string;

  @Flag({ label: 'Registered' })
  registered = true;

  /** Of the tax on what is bought; part of it where some sales are exempt. */
  @DecimalText({ label: 'Input tax recovered, %', from: '0', to: '100' })
  recoveredPercent = '100';
}
