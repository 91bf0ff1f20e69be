import { type Decimal, decimal } from '../number/index.js';
import type { Unit } from '../quantity/index.js';
import type { Figure } from './figure.js';
import { type Gap, NO_GAPS, type Place } from './gap.js';
import { figureGap } from './gaps.js';

const NO_PARTS: readonly Figure[] = [];

interface Leaf {
  readonly name: string;
  readonly subject?: string;
  readonly unit: Unit;
}

/** A field of a row. */
export function input(leaf: Leaf, place: Place, value: string | number): Figure {
  return atPlace('input', leaf, place, decimal(value), NO_GAPS, NO_PARTS);
}

/** A field of a row that is empty: it has no amount, and `reason` says what would fill it. */
export function emptyInput(leaf: Leaf, place: Place, reason: Gap): Figure {
  return atPlace('input', leaf, place, null, [reason], NO_PARTS);
}

/**
 * A field of a row with another value in place of the one of the book, in a what-if or a trial. Its parts are the value
 * of the book and what was set, added or multiplied by; null with the reason where there is no such value.
 */
export function overridden(
  leaf: Leaf,
  place: Place,
  value: string | number | null,
  gaps: readonly Gap[],
  parts: readonly Figure[],
): Figure {
  return atPlace('overridden', leaf, place, value === null ? null : decimal(value), gaps, parts);
}

function atPlace(
  operation: 'input' | 'overridden',
  leaf: Leaf,
  place: Place,
  amount: Decimal | null,
  gaps: readonly Gap[],
  parts: readonly Figure[],
): Figure {
  return {
    operation,
    name: leaf.name,
    subject: leaf.subject ?? '',
    unit: leaf.unit,
    amount,
    gaps,
    parts,
    place,
    note: '',
    publishedOf: null,
    member: '',
  };
}

/** A number that holds everywhere, with its source: 12 months a year, 1000 grams a kilogram. */
export function constant(name: string, amount: Decimal | string, unit: Unit, source: string): Figure {
  const value = typeof amount === 'string' ? decimal(amount) : amount;
  return {
    operation: 'constant',
    name,
    subject: '',
    unit,
    amount: value,
    gaps: NO_GAPS,
    parts: NO_PARTS,
    place: null,
    note: source,
    publishedOf: null,
    member: '',
  };
}

/** A figure that cannot be worked out, and why. `parts` are the figures in which the reason lies. */
export function missing(leaf: Leaf, reason: Gap, parts: readonly Figure[] = NO_PARTS): Figure {
  return {
    operation: 'missing',
    name: leaf.name,
    subject: leaf.subject ?? '',
    unit: leaf.unit,
    amount: null,
    gaps: [reason],
    parts,
    place: reason.place,
    note: '',
    publishedOf: null,
    member: '',
  };
}

/** A figure of a row that is gone, or that points to one that is; `subject` says in words what was to be worked out of it. */
export function ofMissingRow(leaf: Leaf, subject: string): Figure {
  return missing(leaf, figureGap('row-missing', null, { subject }));
}

/** The gap of a division by nothing, where no better sentence fits. */
export function dividedByNothing(name: string, divisor: Figure): Gap {
  return figureGap('divided-by-nothing', divisor.place, {
    name: name.toLowerCase(),
    divisor: divisor.name.toLowerCase(),
  });
}
