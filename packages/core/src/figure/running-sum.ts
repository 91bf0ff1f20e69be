import { Decimal, ExactDecimal, type Decimal as DecimalValue } from '../number/index.js';
import type { Unit } from '../quantity/index.js';
import type { Figure } from './figure.js';
import { unitedGaps } from './gap.js';
import { requireUnit, sum } from './operations.js';
import { stillMadeOf, type CalledOf } from './still-made-of.js';

/** Fewer parts than these are added as quickly as what has moved among them is found. */
const FEW = 4;

/**
 * The same as `sum`, for many parts of which few move from one time to the next. `before` is what it was last time: it
 * is given back where nothing has moved; else what has moved is taken off its total, and added as it is now. The total
 * is exact and rounded once, at the end, so that it is what adding all parts anew would give.
 */
export function runningSum(called: CalledOf, unit: Unit, parts: readonly Figure[], before: Figure | undefined): Figure {
  const still = stillMadeOf(before, called, parts);
  if (still !== null) return still;
  if (parts.length < FEW) return sum(called, unit, parts);
  for (const part of parts) requireUnit(called, unit, part);
  const total = (before instanceof RunningSum ? before.movedTo(parts) : null) ?? totalOf(parts);
  return total === null ? sum(called, unit, parts) : new RunningSum(called, unit, parts, total);
}

/** All parts added without rounding; null where one of them has no amount. */
function totalOf(parts: readonly Figure[]): DecimalValue | null {
  const amounts = parts.map(({ amount }) => amount);
  return amounts.every((amount) => amount !== null) ? ExactDecimal.sum(...amounts) : null;
}

class RunningSum implements Figure {
  readonly operation = 'sum';
  readonly name;
  readonly subject;
  readonly unit;
  readonly amount;
  readonly gaps;
  readonly parts;
  readonly place = null;
  readonly note = '';
  readonly publishedOf = null;
  readonly member = '';

  constructor(
    { name, subject }: CalledOf,
    unit: Unit,
    parts: readonly Figure[],
    private readonly exact: DecimalValue,
  ) {
    this.name = name;
    this.subject = subject;
    this.unit = unit;
    this.amount = Decimal.sum(exact);
    this.gaps = unitedGaps(parts);
    this.parts = parts;
  }

  /**
   * The exact total where other parts have come into places of this sum. Null where adding all anew is no more work: more
   * than half have moved, there are more or fewer of them, or one has no amount.
   */
  movedTo(parts: readonly Figure[]): DecimalValue | null {
    if (parts.length !== this.parts.length) return null;
    const moved = [...parts.keys()].filter((place) => parts[place] !== this.parts[place]);
    if (moved.length * 2 > parts.length) return null;
    let total = this.exact;
    for (const place of moved) {
      const [before, now] = [this.parts[place]?.amount ?? null, parts[place]?.amount ?? null];
      if (before === null || now === null) return null;
      total = total.minus(before).plus(now);
    }
    return total;
  }
}
