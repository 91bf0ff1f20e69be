import { Choice, Day, DecimalText, Reference, Row } from '../fields/index.js';

export const PAYMENT_TIMINGS = ['ahead', 'at settlement'] as const;
export type PaymentTiming = (typeof PAYMENT_TIMINGS)[number];

/** A payment for the goods of a shipment, or for one of its charges, in the currency of what it pays. */
export class ShipmentPayment extends Row {
  @Reference('shipment', { label: 'Shipment', goesWithTarget: true })
  shipmentId!: string;

  /** The charge that it pays; empty where it pays the goods. */
  @Reference('shipmentCharge', { label: 'Charge', goesWithTarget: true, nullable: true })
  chargeId: string | null = null;

  @Day({ label: 'Date' })
  date!: string;

  @DecimalText({ label: 'Amount', above: '0', to: '1000000000', nullable: true })
  amount: string | null = null;

  /** What one unit of the currency was worth on that day; empty where the rates of the book say it. */
  @DecimalText({ label: 'Exchange rate', above: '0', to: '1000000000', nullable: true })
  rate: string | null = null;

  /** What was paid ahead keeps its rate in the cost of the goods (IFRIC 22); at settlement a difference is no cost. */
  @Choice(PAYMENT_TIMINGS, { label: 'Paid' })
  timing: PaymentTiming = 'at settlement';
}
