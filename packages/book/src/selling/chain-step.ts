import { Choice, DecimalText, Name, Reference, Row, WholeNumber } from '../fields/index.js';

export const CHAIN_BASES = ['margin', 'markup'] as const;
export type ChainBasis = (typeof CHAIN_BASES)[number];

/** A seller between the channel and whoever buys in the end: what it adds to the price that it pays. */
export class ChainStep extends Row {
  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Seller' })
  name!: string;

  /** Of the price that it asks, or of the price that it pays. */
  @Choice(CHAIN_BASES, { label: 'Adds' })
  basis: ChainBasis = 'margin';

  @DecimalText({ label: 'Percent', from: '0', to: '100000' })
  percent = '0';
}
