import { Decimal } from '../number/index.js';
import { type Figure, isFigure } from './figure.js';

/**
 * True where two results of a calculation are the same in every respect but their keys: amounts by value, all else
 * part by part. What is the same object is the same without looking, so that only what was worked out anew is walked.
 */
export function sameValue(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (!isObject(one) || !isObject(other)) return false;
  if (Decimal.isDecimal(one)) return Decimal.isDecimal(other) && sameAmount(one, other as unknown as Decimal);
  if (Array.isArray(one)) return Array.isArray(other) && sameElements(one, other);
  if (one instanceof Map || other instanceof Map) return false;
  if (isFigure(one)) return isFigure(other) && sameFigure(one, other);
  return sameFields(one, other);
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

function sameElements(one: readonly unknown[], other: readonly unknown[]): boolean {
  if (one.length !== other.length) return false;
  for (let index = 0; index < one.length; index += 1)
    if (one[index] !== other[index] && !sameValue(one[index], other[index])) return false;
  return true;
}

/** By sign, exponent and digits, without the copy that comparing makes: most of those that differ do so in the first digits. */
function sameAmount(one: Decimal, other: Decimal): boolean {
  if (one.isZero()) return other.isZero();
  return (
    one.s === other.s &&
    one.e === other.e &&
    one.d.length === other.d.length &&
    one.d.every((digits, place) => digits === other.d[place])
  );
}

function sameFields(one: Record<string, unknown>, other: Record<string, unknown>): boolean {
  let more = 0;
  for (const field in one) {
    more += 1;
    if (!sameValue(one[field], other[field])) return false;
  }
  for (const _field in other) more -= 1;
  return more === 0;
}

/** The amount first: it is what mostly differs. The key is left out. */
function sameFigure(one: Figure, other: Figure): boolean {
  return (
    sameValue(one.amount, other.amount) &&
    one.unit === other.unit &&
    one.operation === other.operation &&
    one.name === other.name &&
    one.subject === other.subject &&
    one.note === other.note &&
    sameValue(one.gaps, other.gaps) &&
    sameValue(one.place, other.place) &&
    sameValue(one.parts, other.parts)
  );
}
