import { Choice, Day, DecimalText, Name, Reference, Row, Text, WholeNumber } from '../fields/index.js';

/**
 * What a fee is taken of: a percentage of a price, or an amount for each order, unit, listing, day or month. Listings, days
 * and months are spread over the units that are sold in them.
 */
export const FEE_BASES = ['price before tax', 'price paid', 'unit', 'order', 'listing', 'day', 'month'] as const;
export type FeeBasis = (typeof FEE_BASES)[number];

/** The bases of which a percentage is taken. */
export const PRICE_FEE_BASES = ['price before tax', 'price paid'] as const satisfies readonly FeeBasis[];

/** The bases that are spread over the units sold. */
export const SPREAD_FEE_BASES = ['listing', 'day', 'month'] as const satisfies readonly FeeBasis[];

/** How the bands of a fee count: the one that is reached for the whole price, or each for the slice that lies in it. */
export const FEE_BAND_RULES = ['whole price', 'slice by slice'] as const;
export type FeeBandRule = (typeof FEE_BAND_RULES)[number];

/** One thing that a channel takes of a sale. */
export class FeeRule extends Row {
  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Fee' })
  name!: string;

  @Choice(FEE_BASES, { label: 'Taken of' })
  takenOf: FeeBasis = 'price paid';

  /** Of a price; where there are bands, they say it. */
  @DecimalText({ label: 'Percent', from: '0', to: '1000', nullable: true })
  percent: string | null = null;

  /** For each unit, order, listing, day or month; beside a percentage, for each unit on top of it. */
  @DecimalText({ label: 'Amount', from: '0', to: '1000000', nullable: true })
  amount: string | null = null;

  /** A percentage comes to at least so much a unit. */
  @DecimalText({ label: 'At least', from: '0', to: '1000000', nullable: true })
  minimum: string | null = null;

  @DecimalText({ label: 'At most', from: '0', to: '1000000', nullable: true })
  maximum: string | null = null;

  @Choice(FEE_BAND_RULES, { label: 'Bands count for' })
  bandRule: FeeBandRule = 'whole price';

  /** How many units are sold for each listing, on each day or in each month. */
  @DecimalText({ label: 'Units sold in it', above: '0', to: '1000000000', nullable: true })
  spreadOver: string | null = null;

  /** The tax on the fee itself; what of it is not recovered is a cost. Empty where there is none. */
  @DecimalText({ label: 'Tax on the fee', from: '0', to: '100', nullable: true })
  taxPercent: string | null = null;

  /** Only for products of this category; empty for all. */
  @Text({ label: 'Category' })
  category = '';

  @Day({ label: 'From', nullable: true })
  startsOn: string | null = null;

  @Day({ label: 'Until', nullable: true })
  endsOn: string | null = null;
}

/** A band of a fee: up to and with its limit. */
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
}
