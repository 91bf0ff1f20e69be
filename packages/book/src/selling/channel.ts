import { DecimalText, Flag, Name, Reference, Row } from '../fields/index.js';

/** A place to sell; what it takes of each sale are its fees, its packing, its postage and what comes back. */
export class Channel extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @DecimalText({ label: 'Units per order', above: '0', to: '1000000' })
  unitsPerOrder = '1';

  /** What the customer pays for the delivery of an order, with tax where the prices of the book have it. */
  @DecimalText({ label: 'Postage charged per order', from: '0', to: '1000000', nullable: true })
  postageCharged: string | null = null;

  /** Another channel that packs and dispatches its orders: their packing, postage, fulfilment and storage are those of that one. */
  @Reference('channel', { label: 'Fulfilled by', goesWithTarget: false, nullable: true })
  fulfilledById: string | null = null;

  /** Of the units dispatched. */
  @DecimalText({ label: 'Returns', from: '0', to: '100' })
  returnsPercent = '0';

  @Flag({ label: 'Postage is refunded' })
  refundsPostage = false;

  /** What each returned unit costs to take back: its postage, the check, the packing. */
  @DecimalText({ label: 'Handling per return', from: '0', to: '1000000' })
  returnHandling = '0';

  /** Of the units that come back: those that are sold again as new. */
  @DecimalText({ label: 'Returned as new', from: '0', to: '100' })
  resaleablePercent = '0';

  /** What one of the other units that come back still brings. */
  @DecimalText({ label: 'Worth of the rest', from: '0', to: '1000000' })
  scrapWorth = '0';

  /** How long a unit lies in store until it is sold, where storage is charged. */
  @DecimalText({ label: 'Months in store', from: '0', to: '120' })
  monthsInStore = '1';
}
