import { Decimal, type Decimal as DecimalValue, ExactDecimal } from '../number/index.js';
import type { Unit } from '../quantity/index.js';
import { type Figure, isWhole } from './figure.js';
import { type Gap, NO_GAPS, unitedGaps } from './gap.js';
import { haveMixedSigns, requireUnit, sum } from './operations.js';
import { type CalledOf, stillMadeOf } from './still-made-of.js';

/** Fewer parts than these are added as quickly as what has moved among them is found. */
const FEW = 4;

/**
 * The same as `sum`, for many parts of which few move from one time to the next. `before` is what it was last time: it
 * is given back where nothing has moved; else what has moved is taken off its total, and added as it is now. The total
 * is exact and rounded once, at the end, so that it is what adding all parts anew would give.
 */
export function runningSum(called: CalledOf, unit: Unit, parts: readonly Figure[], before: Figure | undefined): Figure {
  const moved = before instanceof RunningSum ? before.movedTo(called, unit, parts) : null;
  const known = moved ?? stillMadeOf(before, called, parts);
  if (known !== null) return known;
  if (parts.length < FEW) return sum(called, unit, parts);
  for (const part of parts) requireUnit(called, unit, part);
  const total = totalOf(parts);
  return total === null ? sum(called, unit, parts) : new RunningSum(called, unit, parts, unitedGaps(parts), total);
}

/** All parts added without rounding; null where one of them has no amount, or where signs are mixed: then noise is looked for. */
function totalOf(parts: readonly Figure[]): DecimalValue | null {
  const amounts = parts.map(({ amount }) => amount);
  return amounts.every((amount) => amount !== null) && !haveMixedSigns(amounts) ? ExactDecimal.sum(...amounts) : null;
}

type WholeFigure = Figure & { readonly amount: DecimalValue };

/** True for a part that can take the place of another in the total: whole, and of the same sign. */
const isAddable = (part: Figure, sign: number): part is WholeFigure => isWhole(part) && part.amount.s === sign;

class RunningSum implements Figure {
  readonly operation = 'sum';
  readonly name;
  readonly subject;
  readonly amount;
  readonly place = null;
  readonly note = '';
  readonly publishedOf = null;
  readonly member = '';

  constructor(
    { name, subject }: CalledOf,
    readonly unit: Unit,
    readonly parts: readonly Figure[],
    readonly gaps: readonly Gap[],
    private readonly exact: DecimalValue,
  ) {
    this.name = name;
    this.subject = subject;
    this.amount = Decimal.sum(exact);
  }

  /**
   * This sum with other parts in some of its places; only those are looked at. Null where all have to be: more than half
   * have moved, there are more or fewer of them, or there are gaps.
   */
  movedTo(called: CalledOf, unit: Unit, parts: readonly Figure[]): RunningSum | null {
    if (unit !== this.unit || parts.length !== this.parts.length || this.gaps.length > 0) return null;
    let total = this.exact;
    let moved = 0;
    for (let place = 0; place < parts.length; place += 1) {
      const [before, now] = [this.parts[place] as Figure, parts[place] as Figure];
      if (before === now) continue;
      moved += 1;
      if (moved * 2 > parts.length || !isAddable(now, this.amount.s)) return null;
      requireUnit(called, unit, now);
      total = total.minus((before as WholeFigure).amount).plus(now.amount);
    }
    const isStill = moved === 0 && called.name === this.name && called.subject === this.subject;
    return isStill ? this : new RunningSum(called, unit, parts, NO_GAPS, total);
  }
}
