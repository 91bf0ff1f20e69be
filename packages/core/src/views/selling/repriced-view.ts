import type { EndingDirection, PriceEnding } from '@nuvar/book';
import type { Place } from '../../figure/index.js';
import { minorUnit, priceEnding } from '../../money/index.js';
import { type Decimal, HUNDRED, isPositive, roundToStep, ZERO } from '../../number/index.js';
import { plannedAt } from '../../production/index.js';
import { contributionAt, listedPriceForTarget, salesPerMonth, setPrice } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** How many prices are changed in one go. */
export interface Repricing {
  /** To the price that reaches the target of each, where it has one. */
  readonly toTarget: boolean;
  /** By so many percent, after that; zero for none. */
  readonly percent: string;
  readonly ending: PriceEnding;
  readonly direction: EndingDirection;
}

/** What becomes of one price. */
export interface RepricedView {
  readonly pointId: string;
  readonly product: string;
  readonly channel: string;
  /** Where the price is typed: the set price, or the dated one that holds. */
  readonly place: Place | null;
  readonly before: string;
  /** Null where it stays as it is, and why. */
  readonly after: string | null;
  readonly reason: string;
  /** What the planned month leaves of it, before and after; null while it is not known. */
  readonly monthBefore: string | null;
  readonly monthAfter: string | null;
}

export interface RepricedBoard {
  readonly prices: readonly RepricedView[];
  /** What the month leaves of all of them, as far as it is known. */
  readonly monthBefore: string;
  readonly monthAfter: string;
}

/** What a change of many prices would do to each and to the month, before anybody makes it. Prices are rounded to the minor unit. */
export function repricedOf(evaluation: Evaluation, how: Repricing, pointIds: readonly string[]): RepricedBoard {
  const { sheet } = evaluation;
  const minor = minorUnit(sheet.settings().currency);
  const planned = pointIds.flatMap((pointId) => {
    const point = sheet.row('pricePoint', pointId);
    const { price } = evaluation.read(setPrice, pointId);
    if (point === undefined || price.amount === null) return [];
    const found = newPrice(evaluation, how, pointId, price.amount, minor);
    const isSame = found.after?.eq(price.amount) === true;
    return [
      {
        pointId,
        product: sheet.row('product', point.productId)?.name ?? '',
        channel: sheet.row('channel', point.channelId)?.name ?? '',
        place: price.place,
        before: price.amount,
        after: isSame ? null : found.after,
        reason: isSame ? 'it is that already' : found.reason,
      },
    ];
  });
  const total = (amounts: readonly (Decimal | null)[]) =>
    amounts.reduce<Decimal>((so, amount) => so.plus(amount ?? ZERO), ZERO).toFixed();
  const before = planned.map(({ pointId }) => evaluation.read(salesPerMonth, pointId).contributionPerMonth.amount);
  const months = monthsAfter(evaluation, planned, before);
  return {
    prices: planned.map((each, index) => ({
      ...each,
      before: each.before.toFixed(),
      after: each.after?.toFixed() ?? null,
      monthBefore: before[index]?.toFixed() ?? null,
      monthAfter: months[index]?.toFixed() ?? null,
    })),
    monthBefore: total(before),
    monthAfter: total(months),
  };
}

interface NewPrice {
  readonly after: Decimal | null;
  readonly reason: string;
}

function newPrice(evaluation: Evaluation, how: Repricing, pointId: string, before: Decimal, minor: Decimal): NewPrice {
  if (!how.toTarget) return endedPrice(how, before, minor);
  const isTyped = evaluation.sheet.row('pricePoint', pointId)?.basis === 'typed';
  if (isTyped) return { after: null, reason: 'it has no target' };
  const { ending, direction } = how;
  const listed = listedPriceForTarget(evaluation.sheet, pointId, { ending, direction });
  if (listed !== null) return { after: listed, reason: '' };
  const isOfEnding = listedPriceForTarget(evaluation.sheet, pointId) !== null;
  const reason = isOfEnding ? 'no price with that ending reaches its target' : 'no price reaches its target';
  return { after: null, reason };
}

function endedPrice({ percent, ending, direction }: Repricing, start: Decimal, minor: Decimal): NewPrice {
  const moved = start.mul(HUNDRED.plus(percent)).div(HUNDRED);
  const after =
    ending === 'none' ? roundToStep(moved, minor, 'half-away-from-zero') : priceEnding(moved, ending, direction, minor);
  return isPositive(after) ? { after, reason: '' } : { after: null, reason: 'it would be zero or less' };
}

interface Planned {
  readonly pointId: string;
  readonly after: Decimal | null;
}

/** What the month leaves of each price when all of them are changed, at the units that are planned. */
function monthsAfter(
  evaluation: Evaluation,
  planned: readonly Planned[],
  before: readonly (Decimal | null)[],
): (Decimal | null)[] {
  const { sheet } = evaluation;
  return planned.map(({ pointId, after }, index) => {
    if (after === null) return before[index] ?? null;
    const point = sheet.row('pricePoint', pointId);
    const units = point === undefined ? null : plannedAt(sheet, point).amount;
    const left = contributionAt(sheet, pointId, after);
    return units === null || left === null ? null : units.mul(left);
  });
}
