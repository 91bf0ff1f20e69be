import type { MixGoal, RowOf } from '@nuvar/book';
import { type Decimal, isPositive, ZERO } from '../../number/index.js';
import { mixProductTerms, type MixProductTerms } from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';

const PER_UNIT: Readonly<Record<Exclude<MixGoal, 'units'>, (terms: MixProductTerms) => MixProductTerms['revenue']>> = {
  contribution: ({ contribution }) => contribution,
  'profit after set-up': ({ contribution }) => contribution,
  'operating profit': ({ contribution }) => contribution,
  revenue: ({ revenue }) => revenue,
  'least cost': ({ variableCost }) => variableCost,
};

/** How a set-up counts in the goal: taken off a profit, added to a cost. */
const SET_UP_SIGN: Readonly<Partial<Record<MixGoal, number>>> = {
  'profit after set-up': -1,
  'operating profit': -1,
  'least cost': 1,
};

/** What a line of a mix plan adds to the goal, with the set-up where that is paid by it; null where it is not known. */
export function mixBrings(
  evaluation: Evaluation,
  { id, planId }: RowOf<'mixProduct'>,
  quantity: Decimal,
  isSetUp: boolean,
): string | null {
  const made = isPositive(quantity) ? quantity : ZERO;
  const goal = evaluation.sheet.row('mixPlan', planId)?.goal ?? 'contribution';
  if (goal === 'units' || (made.isZero() && !isSetUp)) return made.toFixed();
  const terms = evaluation.read(mixProductTerms, id);
  const { amount } = PER_UNIT[goal](terms);
  if (amount === null) return null;
  const setUp = isSetUp ? (terms.setUpCost?.amount ?? ZERO) : ZERO;
  return made
    .mul(amount)
    .plus(setUp.mul(SET_UP_SIGN[goal] ?? 0))
    .toFixed();
}
