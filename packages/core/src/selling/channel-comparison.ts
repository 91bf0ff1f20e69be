import { constant, difference, type Figure, missing, ofMissingRow, quotient, sum } from '../figure/index.js';
import { compared, type Decimal, ONE, ZERO } from '../number/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { isOfCategory } from './dispatch/packing.js';
import { periodRules } from './fees/period-fees.js';
import { type FeeCurve, scaledCurve, sumOfCurves } from './fees/fee-curve.js';
import { sellingGap } from './gaps.js';
import { pricePoint } from './price-point.js';
import { setPrice, type SetPrice } from './set-price.js';
import { costsToCover } from './price-limits.js';
import { withTaxNotRecovered } from './tax-on-fee.js';
import { unitCostOf } from './unit-cost.js';

/** A product in one channel against the same in another. */
export interface ChannelComparison {
  /** What each sale leaves more in the first than in the second. */
  readonly difference: Figure;
  /** The units a month at which both leave the same, because one of them takes fees for each month. */
  readonly unitsAtSwitch: Figure;
  /** The price before tax at which both leave the same, if it were asked in both. */
  readonly priceAtSwitch: Figure;
}

const UNITS_AT_SWITCH = 'Units a month at which the order turns';
const PRICE_AT_SWITCH = 'Price at which the order turns';

/**
 * The same product in two channels; the id is "point@point". Difference = contribution of a unit in the first less that in the
 * second. Units at which the order turns = fees a month of the first less those of the second / contribution of a unit in the
 * first less that in the second, where both are of one sign. Price at which it turns: the lowest at which what
 * both leave is the same, found stretch by stretch of their fees. Stated gaps: it never turns.
 */
export const channelComparison: Calculation<ChannelComparison> = {
  name: 'channelComparison',
  meanings: {
    difference: 'What each sale leaves more in the one channel than in the other.',
    unitsAtSwitch: 'The units a month at which both channels leave the same.',
    priceAtSwitch: 'The price before tax at which both channels leave the same, if both asked it.',
  },
  work(sheet, id) {
    const [oneId = '', otherId = ''] = id.split('@');
    const [one, other] = [sheet.read(setPrice, oneId), sheet.read(setPrice, otherId)];
    const called = (name: string) => ({ name, subject: (one.sold ?? other.sold)?.product.name ?? '' });
    if (one.sold === null || other.sold === null) {
      const perUnit = money(sheet).per(unit('each'));
      return {
        difference: ofMissingRow({ ...called('Left more'), unit: perUnit }, 'the comparison'),
        unitsAtSwitch: ofMissingRow({ ...called(UNITS_AT_SWITCH), unit: unit('each').per(MONTH) }, 'the comparison'),
        priceAtSwitch: ofMissingRow({ ...called(PRICE_AT_SWITCH), unit: perUnit }, 'the comparison'),
      };
    }
    const more = difference(
      called('Left more'),
      sheet.read(pricePoint, oneId).contribution,
      sheet.read(pricePoint, otherId).contribution,
    );
    return {
      difference: more,
      unitsAtSwitch: unitsAtSwitch(sheet, [one, oneId], [other, otherId], called(UNITS_AT_SWITCH)),
      priceAtSwitch: priceAtSwitch(sheet, one, other, called(PRICE_AT_SWITCH)),
    };
  },
};

type Called = { readonly name: string; readonly subject: string };

/** What the channel of a price takes for each month, whatever is sold of the product, and what a unit leaves. */
function monthly(sheet: Sheet, { sold }: SetPrice, pointId: string): { fees: Figure; before: Figure } {
  const { contribution } = sheet.read(pricePoint, pointId);
  const rules =
    sold === null ? [] : periodRules(sheet, sold.point.channelId).filter(({ takenOf }) => takenOf === 'month');
  const perMonth = money(sheet).per(MONTH);
  const fees = rules
    .filter(({ amount, category }) => amount !== null && sold !== null && isOfCategory(category, sold.product))
    .map((rule) => {
      const stated = sheet.input('feeRule', rule, 'amount', { name: rule.name, subject: '', unit: perMonth });
      return withTaxNotRecovered(sheet, 'feeRule', rule, stated);
    });
  return { fees: sum({ name: 'Fees a month', subject: contribution.subject }, perMonth, fees), before: contribution };
}

function unitsAtSwitch(
  sheet: Sheet,
  [one, oneId]: [SetPrice, string],
  [other, otherId]: [SetPrice, string],
  called: Called,
): Figure {
  const [first, second] = [monthly(sheet, one, oneId), monthly(sheet, other, otherId)];
  const dearer = difference('Fees a month, difference', first.fees, second.fees);
  const better = difference('Left of a unit, difference', first.before, second.before);
  const never = sellingGap('order-never-turns', null);
  const leaf = { ...called, unit: dearer.unit.per(better.unit) };
  const turns =
    dearer.amount === null || better.amount === null || dearer.amount.isZero() || dearer.amount.s === better.amount.s;
  if (dearer.amount?.isZero() === true || !turns || better.amount?.isZero() === true)
    return missing(leaf, never, [dearer, better]);
  return quotient(called, dearer, better);
}

/** What a unit leaves at a price before tax: share x price - fees - to cover, in plain decimals. */
interface Line {
  readonly share: Decimal;
  readonly toCover: Decimal;
  readonly fees: FeeCurve;
}

function lineOf(sheet: Sheet, { sold }: SetPrice): Line | null {
  if (sold === null) return null;
  const { terms, product, point } = sold;
  const [fees, amounts] = [terms.curve(), terms.amounts()];
  const { dispatched } = costsToCover(unitCostOf(sheet, product.id, point.channelId), terms, product.name);
  if (fees === null || dispatched.amount === null || amounts === null) return null;
  return { share: amounts.kept, toCover: dispatched.amount.plus(amounts.costs).minus(amounts.brings), fees };
}

function priceAtSwitch(sheet: Sheet, one: SetPrice, other: SetPrice, called: Called): Figure {
  const { unit: perUnit } = one.beforeTax;
  const [first, second] = [lineOf(sheet, one), lineOf(sheet, other)];
  const crossing = first === null || second === null ? null : lowestCrossing(first, second);
  if (crossing === null)
    return missing({ ...called, unit: perUnit }, sellingGap('order-never-turns', null), [
      one.afterFees,
      other.afterFees,
    ]);
  return constant(called.name, crossing, perUnit, 'where what both channels leave is the same');
}

/** The lowest price above zero at which two lines leave the same, and change places. */
function lowestCrossing(one: Line, other: Line): Decimal | null {
  const minus = scaledCurve(other.fees, ONE.neg());
  const fees = sumOfCurves([one.fees, minus]);
  const share = one.share.minus(other.share);
  const cover = one.toCover.minus(other.toCover);
  let from: Decimal = ZERO;
  let before: Decimal | null = null;
  for (const { upTo, slope, level } of fees) {
    const [gain, need] = [share.minus(slope), cover.plus(level)];
    const start = gain.mul(from).minus(need);
    // A jump in which they change places.
    if (before !== null && !before.isZero() && !start.isZero() && before.s !== start.s) return from;
    const at = gain.isZero() ? null : need.div(gain);
    if (at !== null && compared(at, from) > 0 && (upTo === null || compared(at, upTo) <= 0)) return at;
    if (upTo === null) return null;
    before = gain.mul(upTo).minus(need);
    from = upTo;
  }
  return null;
}
