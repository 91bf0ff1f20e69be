import { type FeeBandRule, type FeePurpose, PRICE_FEE_BASES, type RowOf, SPREAD_FEE_BASES } from '@nuvar/book';
import { constant, type Figure, type Gap, missing, multiplied, quotient, sum } from '../../figure/index.js';
import { PERCENT, type Unit } from '../../quantity/index.js';
import { DAY, LISTING, money, MONTH, ORDER, OUTPUT, type Sheet } from '../../sheet/index.js';
import { isOfCategory } from '../dispatch/packing.js';
import { sellingGap } from '../gaps.js';
import { taxedShare, withTaxNotRecovered } from '../tax-on-fee.js';
import { bandRows } from './fee-bands.js';
import type { FeeContext } from './fee-context.js';
import { ofParcel } from './parcel-fees.js';
import { isInForce } from './fee-rule-in-force.js';
import { isOfPeriod } from './period-fees.js';
import { plannedInChannel } from './planned-in-channel.js';

/** A band of a fee with its figures; the last has no limit, or the fee is not known beyond it. */
export interface BandTerms {
  readonly upTo: Figure | null;
  readonly percent: Figure | null;
  readonly amount: Figure | null;
}

/** Of which price a percentage is taken. */
export interface FeeBasisTerms {
  readonly isPaid: boolean;
  readonly withPostage: boolean;
  readonly beforeCoupon: boolean;
}

/** What a channel takes by one fee of a unit of one product. */
export interface FeeTerms {
  readonly id: string;
  readonly name: string;
  readonly purpose: FeePurpose;
  readonly basis: FeeBasisTerms;
  /** One band without a limit where the fee has none. */
  readonly bands: readonly BandTerms[];
  readonly bandRule: FeeBandRule;
  readonly minimum: Figure | null;
  readonly maximum: Figure | null;
  /** 100 % and what is not recovered of the tax on the fee; null where there is no tax on it. */
  readonly withTax: Figure | null;
  /** The share of the fee that is given back for a returned unit; null for none. */
  readonly givenBack: Figure | null;
}

type Rule = RowOf<'feeRule'>;

const isOneOf = <T extends string>(all: readonly T[], value: string): value is T => all.some((each) => each === value);

/** True for what the channel that fulfils an order takes. */
export const isOfFulfilment = ({ purpose }: Rule) => purpose === 'fulfilment' || purpose === 'storage';

/**
 * The fees of a channel that come with a sale and are in force on the day of the evaluation for a product, in their order, each
 * brought to one unit: order fees over the units of an order. Fulfilment and storage are those of the channel that fulfils. Fees
 * by the month, the day and the listing are period costs (`periodFeeOf`).
 */
export const feeTermsOf = (sheet: Sheet, context: FeeContext, fulfiller: RowOf<'channel'>): FeeTerms[] =>
  rulesOf(sheet, context, fulfiller)
    .filter((rule) => !isOfPeriod(rule))
    .map((rule) => termsOf(sheet, rule, context));

/**
 * What a unit carries on average of the fees by the month, the day and the listing, over the units that are sold in them; null
 * where there are none. It is in no contribution. Gap: those units are not stated.
 */
export function periodFeeOf(sheet: Sheet, context: FeeContext, fulfiller: RowOf<'channel'>): Figure | null {
  const rules = rulesOf(sheet, context, fulfiller).filter(isOfPeriod);
  if (rules.length === 0) return null;
  const each = rules.map((rule) => withTaxNotRecovered(sheet, 'feeRule', rule, amountOf(sheet, rule, context)));
  return sum(
    { name: 'Fees of the period, on average', subject: context.channel.name },
    money(sheet).per(context.output),
    each,
  );
}

function rulesOf(sheet: Sheet, { channel, product }: FeeContext, fulfiller: RowOf<'channel'>): Rule[] {
  const own = sheet.rowsOf('feeRule', 'channelId', channel.id);
  const rules =
    fulfiller.id === channel.id
      ? own
      : [
          ...own.filter((rule) => !isOfFulfilment(rule)),
          ...sheet.rowsOf('feeRule', 'channelId', fulfiller.id).filter(isOfFulfilment),
        ];
  return [...rules]
    .filter(
      (rule) =>
        isInForce(rule, sheet.asOf) &&
        (product === null ? rule.category.trim() === '' : isOfCategory(rule.category, product)),
    )
    .sort((one, other) => one.position - other.position);
}

/** One fee of a channel, brought to a unit of output. */
export function termsOf(sheet: Sheet, rule: Rule, context: FeeContext): FeeTerms {
  const perUnit = money(sheet).per(context.output);
  const stated = (field: 'minimum' | 'maximum', name: string) =>
    rule[field] === null ? null : sheet.input('feeRule', rule, field, { name, subject: rule.name, unit: perUnit });
  const isOfPrice = isOneOf(PRICE_FEE_BASES, rule.takenOf);
  const bands = isOfPrice ? bandsOf(sheet, rule, perUnit) : [];
  return {
    id: rule.id,
    name: rule.name,
    purpose: rule.purpose,
    bandRule: rule.bandRule,
    basis: {
      isPaid: rule.takenOf === 'price paid' || rule.takenOf === 'price and postage paid',
      withPostage: rule.takenOf === 'price and postage before tax' || rule.takenOf === 'price and postage paid',
      beforeCoupon: rule.beforeCoupon,
    },
    bands: bands.length > 0 ? bands : [withoutBands(sheet, rule, context, isOfPrice)],
    minimum: isOfPrice ? stated('minimum', 'At least') : null,
    maximum: isOfPrice ? stated('maximum', 'At most') : null,
    withTax: taxedShare(sheet, 'feeRule', rule),
    givenBack:
      rule.givenBackPercent === '0'
        ? null
        : sheet.input('feeRule', rule, 'givenBackPercent', {
            name: 'Given back on returns',
            subject: rule.name,
            unit: PERCENT,
          }),
  };
}

function bandsOf(sheet: Sheet, rule: Rule, perUnit: Unit): BandTerms[] {
  const subject = rule.name;
  return bandRows(sheet, rule).map((row) => ({
    upTo: row.upTo === null ? null : sheet.input('feeBand', row, 'upTo', { name: 'Up to', subject, unit: perUnit }),
    percent:
      row.percent === null ? null : sheet.input('feeBand', row, 'percent', { name: 'Percent', subject, unit: PERCENT }),
    amount:
      row.amount === null ? null : sheet.input('feeBand', row, 'amount', { name: 'Amount', subject, unit: perUnit }),
  }));
}

/** A fee without bands of the price: a percentage of it, an amount, or both. Gap: neither yet. */
function withoutBands(sheet: Sheet, rule: Rule, context: FeeContext, isOfPrice: boolean): BandTerms {
  if (!isOfPrice) return { upTo: null, percent: null, amount: amountOf(sheet, rule, context) };
  const called = { name: rule.name, subject: context.channel.name };
  const isUnstated = rule.percent === null && rule.amount === null;
  const percent =
    rule.percent !== null || isUnstated
      ? sheet.input('feeRule', rule, 'percent', { ...called, unit: PERCENT, whenEmpty: notStated(rule) })
      : null;
  const amount =
    rule.amount === null
      ? null
      : sheet.input('feeRule', rule, 'amount', { ...called, unit: money(sheet).per(context.output) });
  return { upTo: null, percent, amount };
}

const notStated = (rule: Rule) => (place: Gap['place']) => sellingGap('no-fee-yet', place, { fee: rule.name });

/** An amount for something else than a price, brought to one unit. */
function amountOf(sheet: Sheet, rule: Rule, context: FeeContext): Figure {
  const { channel, output } = context;
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  const stated = (of: Unit) =>
    sheet.input('feeRule', rule, 'amount', {
      name: rule.name,
      subject: channel.name,
      unit: money(sheet).per(of),
      whenEmpty: notStated(rule),
    });
  switch (rule.takenOf) {
    case 'order':
      return quotient(called, stated(ORDER), context.unitsPerOrder());
    case 'listing':
    case 'day':
    case 'month':
      return spread(sheet, rule, context, stated);
    case 'weight':
    case 'packaging weight':
    case 'size':
    case 'volume and month':
      return context.product === null
        ? missing(
            { ...called, unit: money(sheet).per(output) },
            sellingGap('fee-of-a-product', null, { fee: rule.name }),
          )
        : ofParcel(sheet, rule, context, context.product.id, stated);
    default:
      return stated(output);
  }
}

/** An amount for a listing, a day or a month over the units that are sold in it; a month over what is planned, where nothing is typed. */
function spread(sheet: Sheet, rule: Rule, { channel, output }: FeeContext, stated: (of: Unit) => Figure): Figure {
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  const basis = isOneOf(SPREAD_FEE_BASES, rule.takenOf) ? rule.takenOf : 'month';
  const each = { listing: LISTING, day: DAY, month: MONTH }[basis];
  if (basis === 'month' && rule.spreadOver === null) {
    const planned = sheet.read(plannedInChannel, channel.id).units;
    const oneUnit = constant('One unit', '1', OUTPUT.per(output), 'definition');
    const perAny = quotient({ ...called, name: `${rule.name} per planned unit` }, stated(MONTH), planned);
    return multiplied(called, perAny, oneUnit);
  }
  const units = sheet.input('feeRule', rule, 'spreadOver', {
    name: `Units sold in a ${basis}`,
    subject: rule.name,
    unit: output.per(each),
    whenEmpty: (place) => sellingGap('no-units-to-spread-over', place, { fee: rule.name, base: basis }),
  });
  return quotient(called, stated(each), units);
}
