import { Choice, CurrencyCode, Day, DecimalText, Name, Reference, Row, Text } from '../fields/index.js';
import { DELIVERY_TERMS, type DeliveryTerm } from './delivery-term.js';

export const SHIPMENT_STATES = ['estimate', 'ordered', 'received', 'settled'] as const;
export type ShipmentState = (typeof SHIPMENT_STATES)[number];

/** Goods that are bought together and brought here on one way. */
export class Shipment extends Row {
  @Name({ label: 'Description' })
  name!: string;

  @Choice(SHIPMENT_STATES, { label: 'State' })
  state: ShipmentState = 'estimate';

  @Reference('supplier', { label: 'Supplier', goesWithTarget: false, nullable: true })
  supplierId: string | null = null;

  /** The day on which the goods are recognised: exchange rates are those of that day. */
  @Day({ label: 'Date' })
  date!: string;

  @Text({ label: 'Origin' })
  origin = '';

  @Text({ label: 'Destination' })
  destination = '';

  @Choice(DELIVERY_TERMS, { label: 'Delivery term', nullable: true })
  deliveryTerm: DeliveryTerm | null = null;

  @CurrencyCode({ label: 'Buying currency' })
  currency!: string;

  /** What one unit of the buying currency is worth; empty where the rates of the book say it. */
  @DecimalText({ label: 'Exchange rate', above: '0', to: '1000000000', nullable: true })
  rate: string | null = null;

  /** The rate that the customs publish. */
  @DecimalText({ label: 'Customs rate', above: '0', to: '1000000000', nullable: true })
  customsRate: string | null = null;

  @Reference('customsProfile', { label: 'Customs profile', goesWithTarget: false, nullable: true })
  customsProfileId: string | null = null;

  /** The set of charge rules that this shipment is given. */
  @Text({ label: 'Set of charge rules' })
  ruleSet = '';

  @Text({ label: 'Note' })
  note = '';

  /**
   * The day on which what came in was posted: from then on rates, shares, duties and tax stay as they were posted, until the
   * shipment is opened again.
   */
  @Day({ label: 'Posted on', nullable: true })
  postedOn: string | null = null;

  /** The share of the tax on its charges that was not recovered when it was posted. */
  @DecimalText({ label: 'Tax not recovered, %', from: '0', to: '100', nullable: true })
  postedTaxPercent: string | null = null;

  /** The share of the import tax that was not recovered when it was posted. */
  @DecimalText({ label: 'Import tax not recovered, %', from: '0', to: '100', nullable: true })
  postedImportTaxPercent: string | null = null;
}
