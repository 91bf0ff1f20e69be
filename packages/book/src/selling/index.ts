export { Channel } from './channel.js';
export {
  FEE_BAND_RULES,
  FEE_BASES,
  FeeBand,
  type FeeBandRule,
  type FeeBasis,
  FeeRule,
  PRICE_FEE_BASES,
  SPREAD_FEE_BASES,
} from './fee-rule.js';
export {
  ENDING_DIRECTIONS,
  PRICE_BASES,
  PRICE_ENDINGS,
  PricePoint,
  type EndingDirection,
  type PriceBasis,
  type PriceEnding,
} from './price-point.js';
