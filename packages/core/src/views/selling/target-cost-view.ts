import { fullCost } from '../../costing/index.js';
import { figureKey, type Figure, slopes } from '../../figure/index.js';
import { compared, type Decimal } from '../../number/index.js';
import { targetCost } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shownAll } from '../general/figure-view.js';
import { movableField } from '../general/movable-field.js';

/** An input that would close the gap by itself, and what it would have to be. */
export interface ClosingInput extends FigureView {
  readonly subject: string;
  readonly neededAmount: string;
  readonly place: { readonly kind: string; readonly id: string; readonly field: string };
}

export interface TargetCostView extends Readonly<
  Record<'afterFees' | 'wanted' | 'allowed' | 'today' | 'gap', FigureView>
> {
  readonly closing: readonly ClosingInput[];
}

const MOST_SHOWN = 6;
const MOST_STEPS = 12;
const DIGITS = 4;

/** What a product may cost where customers pay at most so much, and which inputs would each close the gap by themselves. */
export function targetCostView(evaluation: Evaluation, pointId: string): TargetCostView {
  return {
    ...shownAll(evaluation, targetCost, pointId, ['afterFees', 'wanted', 'allowed', 'today', 'gap']),
    closing: closingInputs(evaluation, pointId),
  };
}

function closingInputs(evaluation: Evaluation, pointId: string): ClosingInput[] {
  const productId = evaluation.sheet.row('pricePoint', pointId)?.productId ?? '';
  const { allowed, gap } = evaluation.read(targetCost, pointId);
  const cost = evaluation.read(fullCost, productId).fullCost;
  if (allowed.amount === null || gap.amount === null || cost.amount === null || !gap.amount.isPositive()) return [];
  const wanted = allowed.amount;
  return slopes(cost)
    .map(({ input, slope }) => ({ input, size: slope.mul(input.amount ?? 0).abs() }))
    .filter(({ size }) => !size.isZero())
    .sort((one, other) => compared(other.size, one.size))
    .slice(0, 2 * MOST_SHOWN)
    .flatMap(({ input }) => closing(evaluation, `fullCost/${productId}/fullCost`, input, wanted) ?? [])
    .slice(0, MOST_SHOWN);
}

/** The value of one input at which a cost is what it is to be, found by halving between none of it and as it is; null where there is none. */
function closing(evaluation: Evaluation, key: string, input: Figure, wanted: Decimal): ClosingInput | null {
  const field = movableField(input);
  if (field === null) return null;
  const { place: at, amount, most } = field;
  const fork = evaluation.fork([]);
  const costAt = (value: Decimal): Decimal | null => {
    fork.lay([{ ...at, how: 'set', value: value.toFixed() }]);
    const figure = fork.figure(key);
    return figure?.gaps.length === 0 ? figure.amount : null;
  };
  try {
    const needed = solved(costAt, amount, wanted, most);
    return needed === null
      ? null
      : { ...figureView(input, figureKey(input)), subject: input.subject, neededAmount: needed.toFixed(), place: at };
  } finally {
    fork.end();
  }
}

/** Looks for the value on either side of today's: less of most inputs, more of yields and packs. */
function solved(
  costAt: (value: Decimal) => Decimal | null,
  today: Decimal,
  wanted: Decimal,
  most: Decimal | null,
): Decimal | null {
  const more = most !== null && most.lt(today.mul(4)) ? most : today.mul(4);
  for (const far of [today.mul('0.0001'), more]) {
    const atFar = costAt(far.toDecimalPlaces(DIGITS + 4));
    if (atFar === null || atFar.gt(wanted)) continue;
    let [good, bad] = [far, today];
    for (let step = 0; step < MOST_STEPS * 2; step += 1) {
      const middle = good
        .plus(bad)
        .div(2)
        .toDecimalPlaces(DIGITS + 4);
      const cost = costAt(middle);
      if (cost === null) return null;
      if (cost.lte(wanted)) good = middle;
      else bad = middle;
    }
    const shownAmount = good.toDecimalPlaces(DIGITS);
    return shownAmount.isZero() ? null : shownAmount;
  }
  return null;
}
