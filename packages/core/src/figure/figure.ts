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
  | 'smallest'
  | 'apportioned share'
  | 'band'
  | 'choice'
  | 'overridden';

/** A calculation worked out for an id, under which figures are published. */
export interface PublishedOf {
  /** Null where figures are shared by many results, and so published under none. */
  readonly calculation: { readonly name: string } | null;
  readonly id: string;
}

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
  /** Source of a constant, reason of a choice, manner of a rounding. */
  readonly note: string;
  /** What it is published as a result of; null for a figure inside another's working. */
  readonly publishedOf: PublishedOf | null;
  /** Which of the results it is there: "primeCost". */
  readonly member: string;
}

/** The stable name under which a figure is published: "product/0192.../primeCost". Empty inside another's working. */
export function figureKey({ publishedOf, member }: Figure): string {
  return publishedOf?.calculation ? `${publishedOf.calculation.name}/${publishedOf.id}/${member}` : '';
}

/** True for a figure among the results of a calculation. */
export function isFigure(value: unknown): value is Figure {
  return typeof value === 'object' && value !== null && 'operation' in value && 'unit' in value;
}

/** True where the amount counts only a part of what belongs to it. */
export function isPartial(figure: Figure): boolean {
  return figure.amount !== null && figure.gaps.length > 0;
}

/** True where the amount is there and nothing is missing from it. */
export function isWhole(figure: Figure): figure is Figure & { readonly amount: Decimal } {
  return figure.amount !== null && figure.gaps.length === 0;
}
