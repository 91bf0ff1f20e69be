import { type FeeBandRule, type FeePurpose, PRICE_FEE_BASES, type RowOf, SPREAD_FEE_BASES } from '@nuvar/book';
import {
  band as sliceOf,
  choice,
  constant,
  type Figure,
  type Gap,
  isWhole,
  missing,
  multiplied,
  percentOf,
  quotient,
  sum,
} from '../../figure/index.js';
import { compared, decimal } from '../../number/index.js';
import { PERCENT, unit, type Unit } from '../../quantity/index.js';
import { DAY, LISTING, money, MONTH, ORDER, OUTPUT, type Sheet } from '../../sheet/index.js';
import { isOfCategory, type SoldProduct } from '../dispatch/packing.js';
import { chargedWeight, fitsWithin, KILOGRAM, parcel, perKilogramOf } from '../dispatch/parcel.js';
import { sellingGap } from '../gaps.js';
import { taxedShare } from '../tax-on-fee.js';
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

/** Who sells what: of it the amounts of a fee are brought to one unit. */
export interface FeeContext {
  readonly channel: RowOf<'channel'>;
  /** Null where a price is only tried, of no product. */
  readonly product: SoldProduct | null;
  readonly output: Unit;
  readonly unitsPerOrder: () => Figure;
  readonly monthsInStore: () => Figure;
}

type Rule = RowOf<'feeRule'>;

const isOneOf = <T extends string>(all: readonly T[], value: string): value is T => all.some((each) => each === value);

/** True for a fee that is taken on a day. */
export const isInForce = ({ startsOn, endsOn }: Rule, asOf: string): boolean =>
  (startsOn === null || startsOn <= asOf) && (endsOn === null || asOf <= endsOn);

const isOfFulfilment = ({ purpose }: Rule) => purpose === 'fulfilment' || purpose === 'storage';

/**
 * The fees of a channel that are in force on the day of the evaluation for a product, in their order, each brought to one unit:
 * order fees over the units of an order, listings, days and months over the units sold in them. Fulfilment and storage are those
 * of the channel that fulfils. Gap: those units are not stated.
 */
export function feeTermsOf(sheet: Sheet, context: FeeContext, fulfiller: RowOf<'channel'>): FeeTerms[] {
  const { channel, product } = context;
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
    .sort((one, other) => one.position - other.position)
    .map((rule) => termsOf(sheet, rule, context));
}

/** One fee of a channel, brought to a unit of output. */
export function termsOf(sheet: Sheet, rule: Rule, context: FeeContext): FeeTerms {
  const perUnit = money(sheet).per(context.output);
  const stated = (field: 'minimum' | 'maximum', name: string) =>
    rule[field] === null ? null : sheet.input('feeRule', rule, field, { name, subject: rule.name, unit: perUnit });
  const isOfPrice = isOneOf(PRICE_FEE_BASES, rule.takenOf);
  const bands = isOfPrice ? bandsOf(sheet, rule, perUnit) : [];
  return {
    ...{ id: rule.id, name: rule.name, purpose: rule.purpose, bandRule: rule.bandRule },
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
            ...{ name: 'Given back on returns', subject: rule.name, unit: PERCENT },
          }),
  };
}

/** The bands of a fee, the smallest limit first; the one without a limit last. */
const bandRows = (sheet: Sheet, rule: Rule) => [...sheet.rowsOf('feeBand', 'ruleId', rule.id)].sort(byLimit);

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

function byLimit(one: RowOf<'feeBand'>, other: RowOf<'feeBand'>): number {
  if (one.upTo === null || other.upTo === null) return Number(one.upTo === null) - Number(other.upTo === null);
  return compared(decimal(one.upTo), decimal(other.upTo));
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
      ...{ name: rule.name, subject: channel.name, unit: money(sheet).per(of), whenEmpty: notStated(rule) },
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
    ...{ name: `Units sold in a ${basis}`, subject: rule.name, unit: output.per(each) },
    whenEmpty: (place) => sellingGap('no-units-to-spread-over', place, { fee: rule.name, base: basis }),
  });
  return quotient(called, stated(each), units);
}

/** An amount for the weight, the packaging, the size or the volume of one unit. */
function ofParcel(
  sheet: Sheet,
  rule: Rule,
  context: FeeContext,
  productId: string,
  stated: (of: Unit) => Figure,
): Figure {
  const called = { name: `${rule.name} per unit`, subject: context.channel.name };
  const measures = sheet.read(parcel, productId);
  if (rule.takenOf === 'packaging weight') return multiplied(called, stated(KILOGRAM), measures.packaging);
  if (rule.takenOf === 'volume and month') return storage(sheet, rule, context, measures.litres, stated);
  const divisor =
    rule.volumeDivisor === null
      ? null
      : sheet.input('feeRule', rule, 'volumeDivisor', {
          ...{ name: 'Volume weight', subject: rule.name, unit: perKilogramOf(sheet, productId) },
        });
  const weight = chargedWeight(sheet, productId, divisor);
  if (rule.takenOf === 'size') return bySize(sheet, rule, context, measures.sides, weight);
  const bands = bandRows(sheet, rule);
  return bands.length === 0
    ? multiplied(called, stated(KILOGRAM), weight)
    : byWeight(sheet, rule, context, bands, weight);
}

/** Storage: amount per litre and month x litres x months in store, in the months of the year in which it is charged. */
function storage(sheet: Sheet, rule: Rule, context: FeeContext, litres: Figure, stated: (of: Unit) => Figure): Figure {
  const { name: subject } = context.channel;
  const called = { name: `${rule.name} per unit`, subject };
  const aMonth = multiplied({ name: `${rule.name} a month`, subject }, stated(litreMonth), litres);
  const inStore = multiplied(called, aMonth, context.monthsInStore());
  if (rule.fromMonth === null && rule.toMonth === null) return inStore;
  const [from, to] = [rule.fromMonth ?? 1, rule.toMonth ?? 12];
  const months = to >= from ? to - from + 1 : 12 - from + 1 + to;
  const share = constant('Of the year', decimal(String(months)).mul(100).div(12), PERCENT, `${months} of 12 months`);
  return percentOf(called, share, inStore);
}

const litreMonth = unit('l').times(MONTH);

/** The first size in which a unit fits. Gap: it fits in none, which is never nothing. */
function bySize(
  sheet: Sheet,
  rule: Rule,
  { channel, output, product }: FeeContext,
  sides: readonly Figure[],
  weight: Figure,
): Figure {
  const perUnit = money(sheet).per(output);
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  const place = { kind: 'feeRule', id: rule.id, field: 'sizes' } as const;
  const tiers = sheet.rowsOf('sizeTier', 'ruleId', rule.id);
  const unknown = [...sides, weight].find((each) => !isWhole(each));
  if (unknown !== undefined)
    return missing(
      { ...called, unit: perUnit },
      unknown.gaps[0] ?? sellingGap('no-size', place, { fee: rule.name, subject: '' }),
      [unknown],
    );
  const limit = (tier: RowOf<'sizeTier'>, field: 'longest' | 'middle' | 'shortest' | 'upToKilograms', of: Unit) =>
    tier[field] === null
      ? null
      : sheet.input('sizeTier', tier, field, { name: tier.name, subject: rule.name, unit: of });
  const reached = tiers.find((tier) => {
    const limits = (['longest', 'middle', 'shortest'] as const).map((field) => limit(tier, field, unit('cm')));
    const heaviest = limit(tier, 'upToKilograms', weight.unit);
    const isLight = heaviest?.amount == null || weight.amount === null || compared(weight.amount, heaviest.amount) <= 0;
    return isLight && fitsWithin(sides, limits) === true;
  });
  if (reached === undefined)
    return missing(
      { ...called, unit: perUnit },
      sellingGap('no-size', place, { fee: rule.name, subject: product?.name ?? '' }),
      [...sides, weight],
    );
  const amount = sheet.input('sizeTier', reached, 'amount', {
    ...{ name: rule.name, subject: reached.name, unit: perUnit },
    whenEmpty: (at) => sellingGap('no-fee-yet', at, { fee: `${rule.name}, ${reached.name}` }),
  });
  return choice(called, amount, `it fits in "${reached.name}"`);
}

/** By bands of weight: the one that is reached, or each for the kilograms that lie in it. Gap: heavier than the last one. */
function byWeight(
  sheet: Sheet,
  rule: Rule,
  { channel, output }: FeeContext,
  bands: readonly RowOf<'feeBand'>[],
  weight: Figure,
): Figure {
  const perUnit = money(sheet).per(output);
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  const place = { kind: 'feeRule', id: rule.id, field: 'bands' } as const;
  const beyond = sellingGap('beyond-last-band', place, { fee: rule.name });
  if (!isWhole(weight)) return missing({ ...called, unit: perUnit }, weight.gaps[0] ?? beyond, [weight]);
  const at = bands.findIndex(({ upTo }) => upTo === null || compared(weight.amount, decimal(upTo)) <= 0);
  const reached = bands[at];
  if (reached === undefined) return missing({ ...called, unit: perUnit }, beyond, [weight]);
  const ofBand = (row: RowOf<'feeBand'>, base: Figure): Figure[] => [
    ...(row.amount === null
      ? []
      : [sheet.input('feeBand', row, 'amount', { name: 'Amount', subject: rule.name, unit: perUnit })]),
    ...(row.perKilogram === null
      ? []
      : [
          multiplied(
            rule.name,
            sheet.input('feeBand', row, 'perKilogram', {
              ...{ name: 'Per kg', subject: rule.name, unit: money(sheet).per(KILOGRAM) },
            }),
            base,
          ),
        ]),
  ];
  if (rule.bandRule === 'whole price') {
    const limit = reached.upTo === null ? 'the last band' : `the band up to ${reached.upTo} kg`;
    return choice(called, sum(called, perUnit, ofBand(reached, weight)), limit);
  }
  const kilograms = (row: RowOf<'feeBand'> | undefined) =>
    row === undefined
      ? constant('From the first kilogram', '0', weight.unit, 'definition')
      : sheet.input('feeBand', row, 'upTo', { name: 'Up to', subject: rule.name, unit: weight.unit });
  const slices = bands.slice(0, at + 1).flatMap((row, index) => {
    const to = row.upTo === null ? null : kilograms(row);
    return ofBand(row, sliceOf('Slice of the weight', weight, kilograms(bands[index - 1]), to));
  });
  return sum(called, perUnit, slices);
}
