import { type FeeBandRule, nameKey, PRICE_FEE_BASES, type RowOf, SPREAD_FEE_BASES } from '@nuvar/book';
import { constant, type Figure, type Gap, percentOf, quotient, sum } from '../../figure/index.js';
import { compared, decimal } from '../../number/index.js';
import { inputTax } from '../../purchasing/index.js';
import { PERCENT, unit, type Unit } from '../../quantity/index.js';
import { DAY, LISTING, money, MONTH, ORDER, type Sheet, WHOLE_BOOK } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';

/** A band of a fee with its figures; the last has no limit, or the fee is not known beyond it. */
export interface BandTerms {
  readonly upTo: Figure | null;
  readonly percent: Figure | null;
  readonly amount: Figure | null;
}

/** What a channel takes by one fee of a unit of one product. */
export interface FeeTerms {
  readonly id: string;
  readonly name: string;
  /** A percentage is taken of the price paid, or of the price before tax. */
  readonly isOfPricePaid: boolean;
  /** One band without a limit where the fee has none. */
  readonly bands: readonly BandTerms[];
  readonly bandRule: FeeBandRule;
  readonly minimum: Figure | null;
  readonly maximum: Figure | null;
  /** 100 % and what is not recovered of the tax on the fee; null where there is no tax on it. */
  readonly withTax: Figure | null;
}

type Rule = RowOf<'feeRule'>;

const isOneOf = <T extends string>(all: readonly T[], value: string): value is T => all.some((each) => each === value);

/** True for a fee that is taken on a day. */
export const isInForce = ({ startsOn, endsOn }: Rule, asOf: string): boolean =>
  (startsOn === null || startsOn <= asOf) && (endsOn === null || asOf <= endsOn);

const isOfCategory = ({ category }: Rule, ofProduct: string): boolean =>
  category.trim() === '' || nameKey(category.trim()) === nameKey(ofProduct.trim());

/**
 * The fees of a channel that are in force on the day of the evaluation for a product, in their order, each brought to one unit:
 * order fees over the units of an order, listings, days and months over the units sold in them. Gap: those units are not stated.
 */
export function feeTermsOf(sheet: Sheet, channel: RowOf<'channel'>, product: RowOf<'product'>): FeeTerms[] {
  return [...sheet.rowsOf('feeRule', 'channelId', channel.id)]
    .filter((rule) => isInForce(rule, sheet.asOf) && isOfCategory(rule, product.category))
    .sort((one, other) => one.position - other.position)
    .map((rule) => termsOf(sheet, rule, channel, unit(product.outputUnit)));
}

/** One fee of a channel, brought to a unit of output. */
export function termsOf(sheet: Sheet, rule: Rule, channel: RowOf<'channel'>, output: Unit): FeeTerms {
  const perUnit = money(sheet).per(output);
  const stated = (field: 'minimum' | 'maximum', name: string) =>
    rule[field] === null ? null : sheet.input('feeRule', rule, field, { name, subject: rule.name, unit: perUnit });
  const isOfPrice = isOneOf(PRICE_FEE_BASES, rule.takenOf);
  const bands = isOfPrice ? bandsOf(sheet, rule, perUnit) : [];
  return {
    ...{ id: rule.id, name: rule.name, bandRule: rule.bandRule },
    isOfPricePaid: rule.takenOf === 'price paid',
    bands: bands.length > 0 ? bands : [withoutBands(sheet, rule, channel, output, isOfPrice)],
    minimum: isOfPrice ? stated('minimum', 'At least') : null,
    maximum: isOfPrice ? stated('maximum', 'At most') : null,
    withTax: taxOn(sheet, rule),
  };
}

function bandsOf(sheet: Sheet, rule: Rule, perUnit: Unit): BandTerms[] {
  const subject = rule.name;
  return [...sheet.rowsOf('feeBand', 'ruleId', rule.id)].sort(byLimit).map((row) => ({
    upTo: row.upTo === null ? null : sheet.input('feeBand', row, 'upTo', { name: 'Up to', subject, unit: perUnit }),
    percent:
      row.percent === null ? null : sheet.input('feeBand', row, 'percent', { name: 'Percent', subject, unit: PERCENT }),
    amount:
      row.amount === null ? null : sheet.input('feeBand', row, 'amount', { name: 'Amount', subject, unit: perUnit }),
  }));
}

/** The smallest limit first; the band without one last. */
function byLimit(one: RowOf<'feeBand'>, other: RowOf<'feeBand'>): number {
  if (one.upTo === null || other.upTo === null) return Number(one.upTo === null) - Number(other.upTo === null);
  return compared(decimal(one.upTo), decimal(other.upTo));
}

/** A fee without bands: a percentage of a price, an amount, or both. Gaps: neither yet; no units to spread an amount over. */
function withoutBands(
  sheet: Sheet,
  rule: Rule,
  channel: RowOf<'channel'>,
  output: Unit,
  isOfPrice: boolean,
): BandTerms {
  const called = { name: rule.name, subject: channel.name };
  const whenEmpty = (place: Gap['place']) => sellingGap('no-fee-yet', place, { fee: rule.name });
  const isUnstated = rule.percent === null && rule.amount === null;
  const percent =
    isOfPrice && (rule.percent !== null || isUnstated)
      ? sheet.input('feeRule', rule, 'percent', { ...called, unit: PERCENT, whenEmpty })
      : null;
  if (isOfPrice && rule.amount === null) return { upTo: null, percent, amount: null };
  const stated = (of: Unit) => sheet.input('feeRule', rule, 'amount', { ...called, unit: of, whenEmpty });
  return { upTo: null, percent, amount: perUnitOf(sheet, rule, channel, output, stated) };
}

/** An amount for an order, a listing, a day or a month, brought to one unit. */
function perUnitOf(
  sheet: Sheet,
  rule: Rule,
  channel: RowOf<'channel'>,
  output: Unit,
  stated: (of: Unit) => Figure,
): Figure {
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  if (rule.takenOf === 'order') {
    const unitsPerOrder = sheet.input('channel', channel, 'unitsPerOrder', {
      ...{ name: 'Units per order', subject: channel.name, unit: output.per(ORDER) },
    });
    return quotient(called, stated(money(sheet).per(ORDER)), unitsPerOrder);
  }
  if (!isOneOf(SPREAD_FEE_BASES, rule.takenOf)) return stated(money(sheet).per(output));
  const each = { listing: LISTING, day: DAY, month: MONTH }[rule.takenOf];
  const spread = sheet.input('feeRule', rule, 'spreadOver', {
    ...{ name: `Units sold in a ${rule.takenOf}`, subject: rule.name, unit: output.per(each) },
    whenEmpty: (place) => sellingGap('no-units-to-spread-over', place, { fee: rule.name, base: rule.takenOf }),
  });
  return quotient(called, stated(money(sheet).per(each)), spread);
}

const ALL = constant('The fee before tax', '100', PERCENT, 'definition');

function taxOn(sheet: Sheet, rule: Rule): Figure | null {
  if (rule.taxPercent === null) return null;
  const rate = sheet.input('feeRule', rule, 'taxPercent', {
    name: 'Tax on the fee',
    subject: rule.name,
    unit: PERCENT,
  });
  const lost = percentOf('Tax on the fee that is not recovered', sheet.read(inputTax, WHOLE_BOOK).unrecovered, rate);
  return sum('The fee with its tax', PERCENT, [ALL, lost]);
}
