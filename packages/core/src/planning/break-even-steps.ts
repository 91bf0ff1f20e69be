import { constant, difference, type Figure, isWhole, missing, multiplied, quotient, rounded } from '../figure/index.js';
import { compared, type Decimal, isPositive, ONE, roundToStep } from '../number/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import { candidateSale } from './candidate-sale.js';
import { type FixedCostStep, fixedCostSteps } from './fixed-cost-steps.js';
import { planningGap } from './gaps.js';
import { periodCostsWith } from './period-costs.js';

/** One step of the fixed cost, with the break-even that lies in it. */
export interface BreakEvenStep {
  /** Up to so many units a month; null for the last step. */
  readonly upTo: Figure | null;
  readonly fixedCost: Figure;
  /** Stated gap: none lies in this step. */
  readonly exactUnits: Figure;
  readonly units: Figure;
  /** What the month leaves with the first whole unit beyond the step; null for the last step. */
  readonly beyond: Figure | null;
}

/**
 * Every break-even of a candidate price where the fixed cost goes in steps: fixed cost of the step / contribution, which counts
 * only inside its own step, limits included, and as a whole number of units too; and what the month leaves with the first unit
 * beyond each step. The steps are those that the units of this product alone reach. Empty where nothing goes in steps.
 */
export const breakEvenSteps: Calculation<{ readonly steps: readonly BreakEvenStep[] }> = {
  name: 'breakEvenSteps',
  meanings: {},
  work(sheet, candidateId) {
    const row = sheet.row('candidatePrice', candidateId) ?? sheet.row('pricePoint', candidateId);
    if (row === undefined) return { steps: [] };
    const found = fixedCostSteps(sheet, row.productId, periodCostsWith(sheet, row.channelId));
    return { steps: stepsAt(sheet, candidateId, found) };
  },
};

/** The break-even of a candidate price in each step of a fixed cost. */
export function stepsAt(sheet: Sheet, candidateId: string, steps: readonly FixedCostStep[]): readonly BreakEvenStep[] {
  const { contribution } = sheet.read(candidateSale, candidateId);
  return steps.map((step, index) => breakEvenStep(step, steps[index + 1], contribution));
}

function breakEvenStep(step: FixedCostStep, next: FixedCostStep | undefined, contribution: Figure): BreakEvenStep {
  const { upTo, fixedCost } = step;
  const unitsPerMonth = fixedCost.unit.per(contribution.unit);
  const named = (name: string, amount: Decimal) => constant(name, amount, unitsPerMonth, 'where the fixed cost steps');
  const exactUnits = unitsIn(step, contribution);
  const first = upTo === null ? null : roundToStep(upTo, ONE, 'down').plus(ONE);
  return {
    upTo: upTo === null ? null : named('Limit of the step', upTo),
    fixedCost,
    exactUnits,
    units: rounded('Break-even units', exactUnits, ONE, 'up'),
    beyond:
      first === null || next === undefined
        ? null
        : difference(
            'Result with the first unit beyond',
            multiplied('Contribution', named('First unit beyond the step', first), contribution),
            next.fixedCost,
          ),
  };
}

/** The exact break-even of a step, where it lies in it. */
function unitsIn({ above, upTo, fixedCost }: FixedCostStep, contribution: Figure): Figure {
  const leaf = { name: 'Break-even units, exact', unit: fixedCost.unit.per(contribution.unit) };
  const none = planningGap('step-without-break-even', null);
  if (isWhole(contribution) && !isPositive(contribution.amount)) return missing(leaf, none, [fixedCost, contribution]);
  const exact = quotient(leaf.name, fixedCost, contribution);
  if (!isWhole(exact)) return exact;
  const isInside =
    compared(exact.amount, above) > 0 && (upTo === null || compared(roundToStep(exact.amount, ONE, 'up'), upTo) <= 0);
  return isInside ? exact : missing(leaf, none, [exact]);
}

/** One step, so that its figures can be opened; the id is "candidate@index". */
export const breakEvenOfStep: Calculation<BreakEvenStep | Record<string, never>> = {
  name: 'breakEvenOfStep',
  meanings: {
    upTo: 'Up to how many units a month the fixed cost stays in this step.',
    fixedCost: 'The fixed cost of a month in this step.',
    exactUnits: 'Units a month at which the sales just cover the fixed cost of this step, not rounded.',
    units: 'Whole units a month at which the sales cover the fixed cost of this step (break-even).',
    beyond: 'What the month leaves with the first unit beyond this step.',
  },
  work(sheet, id) {
    const [candidateId = '', index = ''] = id.split('@');
    return sheet.read(breakEvenSteps, candidateId).steps[Number(index)] ?? {};
  },
};
