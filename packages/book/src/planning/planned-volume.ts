import { DecimalText, Reference, Row } from '../fields/index.js';

/** The units of a product that are planned to be sold in a channel. What goes into other products is not counted here. */
export class PlannedVolume extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  /** Empty where it is not said yet where they are sold: then they count at the first price of the product. */
  @Reference('channel', { label: 'Channel', goesWithTarget: true, nullable: true })
  channelId: string | null = null;

  /** In the average month of a year. */
  @DecimalText({ label: 'Units a month', from: '0', to: '1000000000', nullable: true })
  unitsPerMonth: string | null = null;

  @Reference('season', { label: 'Season', goesWithTarget: false, nullable: true })
  seasonId: string | null = null;
}
