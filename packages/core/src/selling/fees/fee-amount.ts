import {
  band as bandOf,
  choice,
  constant,
  difference,
  type Figure,
  isWhole,
  missing,
  percentOf,
  sum,
} from '../../figure/index.js';
import { compared, type Decimal, HUNDRED, ONE, ZERO } from '../../number/index.js';
import { PERCENT } from '../../quantity/index.js';
import { priceGap } from '../../price/index.js';
import { sellingGap } from '../gaps.js';
import {
  type Band,
  clampedCurve,
  curveOfPrice,
  curveOfSlices,
  curveOfWhole,
  type FeeCurve,
  scaledCurve,
  shiftedCurve,
} from './fee-curve.js';
import type { BandTerms, FeeTerms } from './fee-terms.js';

/** What stands beside a price, before tax, and what percentages may be taken of too. */
export interface BesidePrice {
  /** 100 % and the sales tax. */
  readonly priceWithTax: Figure;
  readonly postage: Figure | null;
  /** What the seller's part of a coupon takes off. */
  readonly coupon: Figure | null;
}

/** A price before tax and with it, with what stands beside it: what percentages are taken of. */
export interface FeeBase {
  readonly beforeTax: Figure;
  readonly paid: Figure;
  readonly beside: BesidePrice;
}

/** What counts of what stands beside the price, for a fee. */
const countedBeside = ({ basis }: FeeTerms, { postage, coupon }: BesidePrice): Figure[] => [
  ...(basis.withPostage && postage !== null ? [postage] : []),
  ...(basis.beforeCoupon && coupon !== null ? [coupon] : []),
];

function baseOf(terms: FeeTerms, { beforeTax, paid, beside }: FeeBase): Figure {
  const counted = countedBeside(terms, beside);
  const price = terms.basis.isPaid ? paid : beforeTax;
  if (counted.length === 0) return price;
  const { subject } = price;
  const all = sum({ name: 'What the fee is taken of, before tax', subject }, price.unit, [beforeTax, ...counted]);
  return terms.basis.isPaid ? percentOf({ name: 'What the fee is taken of', subject }, beside.priceWithTax, all) : all;
}

/** What a fee comes to at a price: its band, at least and at most, and the tax on it that is not recovered. */
export function feeAmount(terms: FeeTerms, of: FeeBase, subject: string): Figure {
  const base = baseOf(terms, of);
  const called = { name: terms.name, subject };
  const untaxed = clamped(terms, banded(terms, base, subject), subject);
  return terms.withTax === null ? untaxed : percentOf(called, terms.withTax, untaxed);
}

/** Percentage and amount of a band, of a base; zero of neither. */
function ofBand({ percent, amount }: BandTerms, base: Figure, called: { name: string; subject: string }): Figure {
  const parts = [...(percent === null ? [] : [percentOf(called, percent, base)]), ...(amount === null ? [] : [amount])];
  const [only] = parts;
  return only !== undefined && parts.length === 1 ? only : sum(called, base.unit, parts);
}

function banded(terms: FeeTerms, base: Figure, subject: string): Figure {
  const called = { name: terms.name, subject };
  const [first] = terms.bands;
  if (first !== undefined && first.upTo === null) return ofBand(first, base, called);
  if (!isWhole(base))
    return missing({ ...called, unit: base.unit }, base.gaps[0] ?? priceGap('no-selling-price', null), [base]);
  const place = bandAt(terms, base.amount);
  if (place === null) return missing({ ...called, unit: base.unit }, beyondLast(terms), [base]);
  if (terms.bandRule === 'slice by slice') return slicesUpTo(terms, place, base, called);
  const reached = terms.bands[place] as BandTerms;
  const limit = reached.upTo === null ? 'the last band' : `the band up to ${reached.upTo.amount?.toFixed() ?? ''}`;
  return choice(called, ofBand(reached, base, called), limit);
}

const beyondLast = ({ name, id }: FeeTerms) =>
  sellingGap('beyond-last-band', { kind: 'feeRule', id, field: 'bands' }, { fee: name });

/** Which band a base reaches; null beyond the last. */
function bandAt({ bands }: FeeTerms, base: Decimal): number | null {
  const place = bands.findIndex(({ upTo }) => upTo?.amount == null || compared(base, upTo.amount) <= 0);
  return place < 0 ? null : place;
}

const NOTHING = (unit: Figure['unit']) => constant('From the first', '0', unit, 'definition');

function slicesUpTo(terms: FeeTerms, place: number, base: Figure, called: { name: string; subject: string }): Figure {
  const slices = terms.bands.slice(0, place + 1).map((each, index) => {
    const from = terms.bands[index - 1]?.upTo ?? NOTHING(base.unit);
    return ofBand(each, bandOf({ ...called, name: 'Slice of the price' }, base, from, each.upTo), called);
  });
  return sum(called, base.unit, slices);
}

function clamped({ name, minimum, maximum }: FeeTerms, raw: Figure, subject: string): Figure {
  const called = { name, subject };
  const { amount } = raw;
  if (amount === null) return raw;
  if (minimum?.amount != null && compared(amount, minimum.amount) < 0)
    return choice(called, minimum, `at least so much: it would be ${amount.toDecimalPlaces(4).toFixed()}`);
  if (maximum?.amount != null && compared(amount, maximum.amount) > 0)
    return choice(called, maximum, `at most so much: it would be ${amount.toDecimalPlaces(4).toFixed()}`);
  return raw;
}

/** A fee as a line about a price: in percent of the price before tax, and an amount; null where there is none of it. */
export interface FeeLine {
  readonly percent: Figure | null;
  readonly amount: Figure | null;
}

/** The line on which a fee lies at a price before tax, as figures: what a price for a target is worked out of. */
export function feeLine(terms: FeeTerms, beside: BesidePrice, at: Decimal): FeeLine {
  const { priceWithTax } = beside;
  const { isPaid } = terms.basis;
  const times = isPaid ? (priceWithTax.amount ?? HUNDRED).div(HUNDRED) : ONE;
  const counted = countedBeside(terms, beside);
  const line = lineOfBase(terms, at.plus(totalOf(counted)).mul(times));
  const { percent } = line;
  const ofPrice =
    percent !== null && isPaid ? percentOf('Fee in percent of the price before tax', percent, priceWithTax) : percent;
  const amount = withBeside(terms, ofPrice, line.amount, counted);
  const { withTax } = terms;
  if (withTax === null) return { percent: ofPrice, amount };
  const taxed = (figure: Figure | null) =>
    figure === null ? null : percentOf({ name: figure.name, subject: figure.subject }, withTax, figure);
  return { percent: taxed(ofPrice), amount: taxed(amount) };
}

const totalOf = (figures: readonly Figure[]): Decimal =>
  figures.reduce((so, { amount }) => so.plus(amount ?? ZERO), ZERO);

/** The amount of a line with what the percentage takes of what stands beside the price. */
function withBeside(terms: FeeTerms, percent: Figure | null, amount: Figure | null, counted: readonly Figure[]) {
  if (percent === null || counted.length === 0) return amount;
  const taken = counted.map((each) => percentOf(`${terms.name} of ${each.name.toLowerCase()}`, percent, each));
  const parts = amount === null ? taken : [amount, ...taken];
  return sum(`${terms.name} beside the price`, (parts[0] as Figure).unit, parts);
}

const amountOn = ({ percent, amount }: FeeLine, base: Decimal): Decimal =>
  (amount?.amount ?? ZERO).plus((percent?.amount ?? ZERO).mul(base).div(HUNDRED));

function lineOfBase(terms: FeeTerms, base: Decimal): FeeLine {
  const place = bandAt(terms, base) ?? terms.bands.length - 1;
  const line = terms.bandRule === 'slice by slice' ? sliceLine(terms, place) : (terms.bands[place] as BandTerms);
  const raw = amountOn(line, base);
  const { minimum, maximum } = terms;
  if (minimum?.amount != null && compared(raw, minimum.amount) < 0) return { percent: null, amount: minimum };
  if (maximum?.amount != null && compared(raw, maximum.amount) > 0) return { percent: null, amount: maximum };
  return line;
}

/** What slices below have brought, less what the last one would have taken of them. */
function sliceLine({ bands, name }: FeeTerms, place: number): FeeLine {
  const last = bands[place] as BandTerms;
  const before = bands.slice(0, place);
  const amounts = [...before, last].flatMap(({ amount }) => (amount === null ? [] : [amount]));
  if (before.length === 0) return last;
  const below = before.flatMap((each, index) => {
    const { upTo, percent } = each;
    if (upTo === null || percent === null) return [];
    const from = bands[index - 1]?.upTo ?? NOTHING(upTo.unit);
    return [percentOf(name, percent, difference('Slice of the price', upTo, from))];
  });
  const start = before.at(-1)?.upTo ?? null;
  if (start === null) return last;
  const brought = sum(`${name} of the slices below`, start.unit, [...amounts, ...below]);
  if (last.percent === null) return { percent: null, amount: brought };
  const taken = percentOf(`${name} of the last slice, from the first`, last.percent, start);
  return { percent: last.percent, amount: difference(`${name} before the last slice`, brought, taken) };
}

/** A fee as a function of the price before tax; null while one of its figures is missing. */
export function curveOfFee(terms: FeeTerms, beside: BesidePrice): FeeCurve | null {
  const { priceWithTax } = beside;
  const counted = countedBeside(terms, beside);
  const known = (figure: Figure | null) => figure === null || isWhole(figure);
  const { bands, minimum, maximum, withTax } = terms;
  const parts = [
    minimum,
    maximum,
    withTax,
    priceWithTax,
    ...counted,
    ...bands.flatMap((each) => Object.values(each) as Figure[]),
  ];
  if (!parts.every(known)) return null;
  const plain = bands.map(({ upTo, percent, amount }): Band => ({
    upTo: upTo?.amount ?? null,
    share: (percent?.amount ?? ZERO).div(HUNDRED),
    amount: amount?.amount ?? ZERO,
  }));
  const ofBase = terms.bandRule === 'slice by slice' ? curveOfSlices(plain) : curveOfWhole(plain);
  const clampedOnes = clampedCurve(ofBase, minimum?.amount ?? null, maximum?.amount ?? null);
  const times = terms.basis.isPaid ? (priceWithTax.amount ?? HUNDRED).div(HUNDRED) : ONE;
  const ofPrice = shiftedCurve(curveOfPrice(clampedOnes, times), totalOf(counted));
  return scaledCurve(ofPrice, (withTax?.amount ?? HUNDRED).div(HUNDRED));
}

/** The percentages of several lines together, and their amounts. */
export function sumOfLines(lines: readonly FeeLine[], unit: Figure['unit']): { percent: Figure; amounts: Figure[] } {
  const percents = lines.flatMap(({ percent }) => (percent === null ? [] : [percent]));
  const [only] = percents;
  const amounts = lines.flatMap(({ amount }) => (amount === null ? [] : [amount]));
  for (const amount of amounts) if (amount.unit !== unit) throw new RangeError('A fee is in another unit.');
  return {
    percent:
      only !== undefined && percents.length === 1 ? only : sum('Fees in percent of the price', PERCENT, percents),
    amounts,
  };
}
