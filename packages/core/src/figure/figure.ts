import type { Decimal } from '../number/index.js';
import type { Unit } from '../quantity/index.js';
import type { Gap, Place } from './gap.js';

/** How a figure came about. */
export type Operation =
  | 'input'
  | 'constant'
  | 'missing'
  | 'sum'
  | 'difference'
  | 'product'
  | 'quotient'
  | 'percent of'
  | 'whole of'
  | 'share of'
  | 'round'
  | 'largest'
  | 'choice';

/**
 * An amount that carries its working: a small immutable node that knows its unit, its name, the operation that made it
 * and the figures it was made from. An amount of null with gaps says what is missing; an amount with gaps is partial.
 */
export interface Figure {
  readonly operation: Operation;
  /** The trade's name for it: "Pack price". */
  readonly name: string;
  /** The row that it is of: "White stoneware clay". Empty where the name says it all. */
  readonly subject: string;
  readonly unit: Unit;
  readonly amount: Decimal | null;
  readonly gaps: readonly Gap[];
  readonly parts: readonly Figure[];
  /** The field of a row that an input shows, and where a gap is settled. */
  readonly place: Place | null;
  /** Source of a constant, reason of a choice, manner of a rounding; the baseline value of an overridden input. */
  readonly note: string;
  /** Stable name under which it is published; null for a figure inside another's working. */
  readonly key: string | null;
}

/** True where the amount counts only a part of what belongs to it. */
export function isPartial(figure: Figure): boolean {
  return figure.amount !== null && figure.gaps.length > 0;
}

/** True where the amount is there and nothing is missing from it. */
export function isWhole(figure: Figure): figure is Figure & { readonly amount: Decimal } {
  return figure.amount !== null && figure.gaps.length === 0;
}
