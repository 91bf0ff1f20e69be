export { CHAIN_BASES, ChainStep, type ChainBasis } from './chain-step.js';
export { CHANNEL_TEMPLATES, type ChannelTemplate } from './channel-templates.js';
export { Channel } from './channel.js';
export {
  BANDED_FEE_BASES,
  FEE_BAND_RULES,
  FEE_BASES,
  FEE_PURPOSES,
  FeeBand,
  type FeeBandRule,
  type FeeBasis,
  type FeePurpose,
  FeeRule,
  PRICE_FEE_BASES,
  SizeTier,
  SPREAD_FEE_BASES,
} from './fee-rule.js';
export { CarrierRate, CarrierTable, PACKED_PER, PackingLine, type PackedPer, PostageShare } from './postage.js';
export {
  DatedPrice,
  ENDING_DIRECTIONS,
  InputRange,
  PRICE_BASES,
  PRICE_ENDINGS,
  PricePoint,
  QuantityBreak,
  RANGE_SHAPES,
  type EndingDirection,
  type PriceBasis,
  type PriceEnding,
  type RangeShape,
} from './price-point.js';
export { Quote, QUOTE_BASES, QUOTE_STATES, QuoteOption, type QuoteBasis, type QuoteState } from './quote.js';
export { SalesTaxRate } from './sales-tax-rate.js';
