import { Choice, Day, DecimalText, Flag, Name, Reference, Row, Text, WholeNumber } from '../fields/index.js';

/**
 * What a fee is taken of: a percentage of a price, with or without the postage charged beside it; or an amount for each order,
 * unit, listing, day, month, kilogram, size, or litre and month. Listings, days and months are spread over the units that are
 * sold in them.
 */
export const FEE_BASES = [
  'price before tax',
  'price paid',
  'price and postage before tax',
  'price and postage paid',
  'unit',
  'order',
  'listing',
  'day',
  'month',
  'weight',
  'packaging weight',
  'size',
  'volume and month',
] as const;
export type FeeBasis = (typeof FEE_BASES)[number];

/** The bases of which a percentage is taken. */
export const PRICE_FEE_BASES = [
  'price before tax',
  'price paid',
  'price and postage before tax',
  'price and postage paid',
] as const satisfies readonly FeeBasis[];

/** The bases whose amounts can go in bands. */
export const BANDED_FEE_BASES = [...PRICE_FEE_BASES, 'weight'] as const satisfies readonly FeeBasis[];

/** The bases that are spread over the units sold. */
export const SPREAD_FEE_BASES = ['listing', 'day', 'month'] as const satisfies readonly FeeBasis[];

/** How the bands of a fee count: the one that is reached for the whole price, or each for the slice that lies in it. */
export const FEE_BAND_RULES = ['whole price', 'slice by slice'] as const;
export type FeeBandRule = (typeof FEE_BAND_RULES)[number];

/** What a fee is for. Fees of fulfilment and storage are those of the channel that fulfils. */
export const FEE_PURPOSES = [
  'commission',
  'payment',
  'fulfilment',
  'storage',
  'subscription',
  'advertising',
  'handling',
  'packaging recovery',
  'other',
] as const;
export type FeePurpose = (typeof FEE_PURPOSES)[number];

/** One thing that a channel takes of a sale. */
export class FeeRule extends Row {
  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Fee' })
  name!: string;

  @Choice(FEE_PURPOSES, { label: 'For' })
  purpose: FeePurpose = 'commission';

  @Choice(FEE_BASES, { label: 'Taken of' })
  takenOf: FeeBasis = 'price paid';

  /** Of a price; where there are bands, they say it. */
  @DecimalText({ label: 'Percent', from: '0', to: '1000', nullable: true })
  percent: string | null = null;

  /** For each of what it is taken of; beside a percentage, for each unit on top of it. */
  @DecimalText({ label: 'Amount', from: '0', to: '1000000', nullable: true })
  amount: string | null = null;

  /** A percentage comes to at least so much a unit. */
  @DecimalText({ label: 'At least', from: '0', to: '1000000', nullable: true })
  minimum: string | null = null;

  @DecimalText({ label: 'At most', from: '0', to: '1000000', nullable: true })
  maximum: string | null = null;

  @Choice(FEE_BAND_RULES, { label: 'Bands count for' })
  bandRule: FeeBandRule = 'whole price';

  /** How many units are sold for each listing, on each day or in each month; for months, where empty, the planned units. */
  @DecimalText({ label: 'Units sold in it', above: '0', to: '1000000000', nullable: true })
  spreadOver: string | null = null;

  /** Cubic centimetres that count as a kilogram, where bulky parcels are charged by volume. */
  @DecimalText({ label: 'Volume weight, cm³ per kg', above: '0', to: '1000000', nullable: true })
  volumeDivisor: string | null = null;

  /** The tax on the fee itself; what of it is not recovered is a cost. Empty where there is none. */
  @DecimalText({ label: 'Tax on the fee', from: '0', to: '100', nullable: true })
  taxPercent: string | null = null;

  /** How much of the fee the channel gives back for a unit that is returned. */
  @DecimalText({ label: 'Given back on returns', from: '0', to: '100' })
  givenBackPercent = '0';

  /** True where a percentage is taken of the price before a coupon of the seller. */
  @Flag({ label: 'Taken before coupons' })
  beforeCoupon = false;

  /** Only for products of this category; empty for all. */
  @Text({ label: 'Category' })
  category = '';

  /** For storage: the first and the last month of the year in which it is charged; empty for all. */
  @WholeNumber({ label: 'First month', from: 1, to: 12, nullable: true })
  fromMonth: number | null = null;

  @WholeNumber({ label: 'Last month', from: 1, to: 12, nullable: true })
  toMonth: number | null = null;

  @Day({ label: 'From', nullable: true })
  startsOn: string | null = null;

  @Day({ label: 'Until', nullable: true })
  endsOn: string | null = null;
}

/** A band of a fee: up to and with its limit, of a price or of kilograms. */
export class FeeBand extends Row {
  @Reference('feeRule', { label: 'Fee', goesWithTarget: true })
  ruleId!: string;

  /** Empty for the last one, which has no limit. */
  @DecimalText({ label: 'Up to', above: '0', to: '1000000000', nullable: true })
  upTo: string | null = null;

  @DecimalText({ label: 'Percent', from: '0', to: '1000', nullable: true })
  percent: string | null = null;

  @DecimalText({ label: 'Amount', from: '0', to: '1000000', nullable: true })
  amount: string | null = null;

  /** Of a fee by weight. */
  @DecimalText({ label: 'Per kg', from: '0', to: '1000000', nullable: true })
  perKilogram: string | null = null;
}

/** A size of parcel and what is charged for it: the first one in which a unit fits, its sides compared from the longest to the shortest. */
export class SizeTier extends Row {
  @Reference('feeRule', { label: 'Fee', goesWithTarget: true })
  ruleId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Size' })
  name!: string;

  @DecimalText({ label: 'Longest side, cm', above: '0', to: '100000', nullable: true })
  longest: string | null = null;

  @DecimalText({ label: 'Middle side, cm', above: '0', to: '100000', nullable: true })
  middle: string | null = null;

  @DecimalText({ label: 'Shortest side, cm', above: '0', to: '100000', nullable: true })
  shortest: string | null = null;

  @DecimalText({ label: 'Weight up to, kg', above: '0', to: '1000000', nullable: true })
  upToKilograms: string | null = null;

  @DecimalText({ label: 'Amount', from: '0', to: '1000000', nullable: true })
  amount: string | null = null;
}
