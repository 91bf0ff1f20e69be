import type { RowOf } from '@nuvar/book';
import { difference, type Figure, sum } from '../figure/index.js';
import { compared, type Decimal, ZERO } from '../number/index.js';
import { driverUse, runningCost, steppedCosts, type StepOfMonth, stepsOfMonth } from '../overhead/index.js';
import { money, MONTH, type Sheet } from '../sheet/index.js';

/** The fixed cost of a month while so many units of one product are made and sold. */
export interface FixedCostStep {
  /** From above this many units a month on, and up to and with that many; null for no limit. */
  readonly above: Decimal;
  readonly upTo: Decimal | null;
  readonly fixedCost: Figure;
}

/** A stepped cost with its limits in units of the product. */
interface Stepped {
  readonly row: RowOf<'runningCost'>;
  readonly steps: readonly StepOfMonth[];
  /** What a unit takes of its driver. */
  readonly use: Decimal;
}

/**
 * The steps of the fixed cost of a month by the units of one product alone: each stepped running cost counts with the amount of
 * the step that so many units reach by its driver, limits included. Beyond the last step of a cost nothing is known, so the
 * steps end there. Empty where nothing goes in steps. `total` holds the stepped costs that count, as planned.
 */
export function fixedCostSteps(
  sheet: Sheet,
  productId: string,
  total: Figure,
  counts: (row: RowOf<'runningCost'>) => boolean = () => true,
): readonly FixedCostStep[] {
  const stepped = steppedCosts(sheet)
    .filter(counts)
    .flatMap((row): Stepped[] => {
      const steps = stepsOfMonth(sheet, row);
      const use = driverUse(sheet, productId, row.driver)?.amount ?? ZERO;
      return steps.length === 0 ? [] : [{ row, steps, use }];
    });
  if (stepped.length === 0) return [];
  const perMonth = money(sheet).per(MONTH);
  const asPlanned = sum(
    'Stepped costs as planned',
    perMonth,
    stepped.map(({ row }) => sheet.read(runningCost, row.id).perMonth),
  );
  const flat = difference('Fixed cost without steps', total, asPlanned);
  const made: FixedCostStep[] = [];
  for (let above: Decimal = ZERO; ;) {
    const reached = stepped.map((each) => stepAbove(each, above));
    if (!reached.every((step) => step !== undefined)) return made;
    const limits = stepped.map((each, index) => limitOf(each, reached[index] as StepOfMonth));
    const upTo = limits.reduce<Decimal | null>(
      (least, limit) => (least === null || (limit !== null && compared(limit, least) < 0) ? (limit ?? least) : least),
      null,
    );
    const costs = reached.map((step) => step.perMonth);
    made.push({ above, upTo, fixedCost: sum('Fixed cost of the step', perMonth, [flat, ...costs]) });
    if (upTo === null) return made;
    above = upTo;
  }
}

/** The step in which the units just above a number lie; undefined beyond the last. */
const stepAbove = (stepped: Stepped, above: Decimal): StepOfMonth | undefined =>
  stepped.steps.find((step) => {
    const limit = limitOf(stepped, step);
    return limit === null || compared(limit, above) > 0;
  });

/** Up to how many units of the product a step lasts; null for no limit. */
const limitOf = ({ use }: Stepped, { upTo }: StepOfMonth): Decimal | null =>
  upTo === null || use.isZero() ? null : upTo.div(use);
