export { Channel, FEE_BASES, type FeeBasis } from './channel.js';
export {
  ENDING_DIRECTIONS,
  PRICE_BASES,
  PRICE_ENDINGS,
  PricePoint,
  type EndingDirection,
  type PriceBasis,
  type PriceEnding,
} from './price-point.js';
