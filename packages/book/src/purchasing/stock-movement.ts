import { Choice, Day, DecimalText, Reference, Row, Text, UnitCode } from '../fields/index.js';

/** What brings goods in or takes them out of stock, or changes what they are worth, in the order in which it counts on one day. */
export const MOVEMENT_TYPES = [
  'opening',
  'receipt',
  'return from customer',
  'late charge',
  'issue',
  'return to supplier',
  'write-off',
  'count',
] as const;
export type MovementType = (typeof MOVEMENT_TYPES)[number];

/** One entry of the stock ledger: what came in or went out of one material. What was posted is kept as it was posted. */
export class StockMovement extends Row {
  @Reference('material', { label: 'Material', goesWithTarget: false })
  materialId!: string;

  @Day({ label: 'Date' })
  date!: string;

  @Choice(MOVEMENT_TYPES, { label: 'Movement' })
  type: MovementType = 'issue';

  /** In base units of the material; of a count, what was counted. Empty for a late charge. */
  @DecimalText({ label: 'Quantity', from: '0', to: '1000000000', nullable: true })
  quantity: string | null = null;

  @UnitCode({ label: 'Unit' })
  unit!: string;

  /** What it cost in all, in the currency of the book: of what came in, or of a late charge (a credit is negative). */
  @DecimalText({ label: 'Cost', from: '-1000000000', to: '1000000000', nullable: true })
  cost: string | null = null;

  /** The movement that it belongs to: the receipt of a late charge or of what goes back, the issue of what comes back. */
  @Reference('stockMovement', { label: 'Belongs to', goesWithTarget: true, nullable: true })
  ofMovementId: string | null = null;

  /** The line of the shipment that it was posted from. */
  @Reference('shipmentLine', { label: 'Shipment line', goesWithTarget: false, nullable: true })
  lineId: string | null = null;

  /** How much of that line it settles, in the unit of the line: what arrived and what was lost on the way. */
  @DecimalText({ label: 'Of the line', from: '0', to: '1000000000', nullable: true })
  ofLine: string | null = null;

  @Text({ label: 'Remark' })
  remark = '';
}
