import { DecimalText, Reference, Row } from '../fields/index.js';

/** A lower price of a supplier for larger orders: from so many packs on, each pack costs so much. */
export class PriceBreak extends Row {
  @Reference('supplierPrice', { label: 'Price', goesWithTarget: true })
  priceId!: string;

  @DecimalText({ label: 'From, packs', above: '0', to: '1000000000' })
  fromPacks!: string;

  /** Of a pack, in the currency of the price, for all packs of the order. */
  @DecimalText({ label: 'Pack price', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;
}
