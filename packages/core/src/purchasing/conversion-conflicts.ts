import type { RowOf } from '@nuvar/book';
import { Decimal, decimal, ONE } from '../number/index.js';
import { convert, ownWay } from '../quantity/index.js';

/** Two ways between two units of one item that do not agree: what one unit comes to by each. */
export interface ConversionConflict {
  readonly conversion: RowOf<'itemConversion'>;
  readonly stated: Decimal;
  readonly otherwise: Decimal;
}

const TOLERANCE = decimal('0.001');

/**
 * The conversions of an item that say something else than the way through the ones stated before them, by more than
 * 0.1 %. Conversions that do not say how many yet are left out.
 */
export function conversionConflicts(own: readonly RowOf<'itemConversion'>[]): ConversionConflict[] {
  const known = own.filter((row) => row.equalQuantity !== null);
  return known.flatMap((row, index) => {
    const stated = decimal(row.equalQuantity ?? '0').div(row.quantity);
    const otherwise = factorThrough(row.unit, row.equalUnit, known.slice(0, index));
    if (otherwise === null) return [];
    return stated.div(otherwise).minus(ONE).abs().gt(TOLERANCE) ? [{ conversion: row, stated, otherwise }] : [];
  });
}

/**
 * How many of one unit are one of another, by standard factors and an item's own conversions; null where no way leads there.
 * Conversions that do not say how many count as nothing known.
 */
export function factorThrough(from: string, to: string, own: readonly RowOf<'itemConversion'>[]): Decimal | null {
  const way = ownWay(from, to, own);
  if (way === null) return null;
  let [factor, at]: [Decimal, string] = [ONE, from];
  for (const { conversion, isForward } of way) {
    const [many, equal] = [decimal(conversion.quantity), decimal(conversion.equalQuantity ?? '0')];
    const [enters, leaves] = isForward
      ? [conversion.unit, conversion.equalUnit]
      : [conversion.equalUnit, conversion.unit];
    const reached = factor.mul(convert('1', at, enters) ?? ONE);
    factor = isForward ? reached.mul(equal).div(many) : reached.mul(many).div(equal);
    at = leaves;
  }
  return factor.mul(convert('1', at, to) ?? ONE);
}
