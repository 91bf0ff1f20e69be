import { Decimal } from '../number/index.js';

/**
 * True where two results of a calculation are the same in every respect but their keys: amounts by value, all else
 * part by part. What is the same object is the same without looking, so that only what was worked out anew is walked.
 */
export function sameValue(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  if (Decimal.isDecimal(one)) return Decimal.isDecimal(other) && one.eq(other as Decimal);
  if (Array.isArray(one))
    return (
      Array.isArray(other) && one.length === other.length && one.every((each, index) => sameValue(each, other[index]))
    );
  if (one instanceof Map || other instanceof Map) return false;
  const [left, right] = [one as Record<string, unknown>, other as Record<string, unknown>];
  if ('amount' in left && !sameValue(left.amount, right.amount)) return false;
  const keys = Object.keys(left);
  return (
    keys.length === Object.keys(right).length && keys.every((key) => key === 'key' || sameValue(left[key], right[key]))
  );
}
