import { Decimal, decimal } from './decimal.js';
import { type DecimalSign, readNumber } from './read-number.js';
import { isShortText } from './typed-text.js';

/** How many values are changed in one go: each by a percentage, by a factor, by an amount, or to one value. */
export interface Adjustment {
  readonly how: 'percent' | 'factor' | 'amount' | 'value';
  readonly by: string;
}

/**
 * Reads how values are to be changed: "+5%" and "-2 %" by a percentage, "x1.1" and "*1.1" by a factor, "+0.20" and "-0.20"
 * by an amount, "12.50" to that value. Null where it is none of these.
 *
 * @example readAdjustment('+5%', '.') → {"how":"percent","by":"5"}
 */
export function readAdjustment(text: string, decimalSign: DecimalSign): Adjustment | null {
  if (!isShortText(text)) return null;
  const tidy = text.trim().replace(/[−–]/g, '-');
  const factor = /^[x*×]\s*(.+)$/i.exec(tidy)?.[1];
  if (factor !== undefined) return adjustment('factor', factor, decimalSign);
  const read = readNumber(tidy.replace(/^\+\s*/, ''), decimalSign);
  if (read === null || read.unit !== null) return null;
  const isMove = /^[+-]/.test(tidy);
  if (read.percent) return isMove ? { how: 'percent', by: read.value } : null;
  return { how: isMove ? 'amount' : 'value', by: read.value };
}

function adjustment(how: Adjustment['how'], text: string, sign: DecimalSign): Adjustment | null {
  const read = readNumber(text, sign);
  return read === null || read.unit !== null || read.percent ? null : { how, by: read.value };
}

const MOST_DECIMALS = 6;

/**
 * A value after an adjustment, with at most six decimals, half away from zero. What is empty stays empty, unless one value
 * is put in its place.
 *
 * @example adjusted('20.00', { how: 'percent', by: '5' }) → "21"
 */
export function adjusted(value: string | null, { how, by }: Adjustment): string | null {
  if (how === 'value') return by;
  if (value === null) return null;
  const before = decimal(value);
  const after =
    how === 'factor' ? before.mul(by) : how === 'amount' ? before.plus(by) : before.mul(decimal(by).plus(100)).div(100);
  return after.toDecimalPlaces(MOST_DECIMALS, Decimal.ROUND_HALF_UP).toFixed();
}
