import { dividedBy, type Fraction, isNone, lessThan, NONE, times, WHOLE } from './fraction.js';

/**
 * The inverse of a square matrix, exactly, by Gauss-Jordan elimination; null where it has none.
 */
export function inverse(matrix: readonly (readonly Fraction[])[]): Fraction[][] | null {
  const size = matrix.length;
  const rows = matrix.map((row, index) => [...row, ...row.map((_each, place) => (place === index ? WHOLE : NONE))]);
  for (let pivot = 0; pivot < size; pivot += 1) {
    const found = rows.findIndex((row, index) => index >= pivot && !isNone(row[pivot] as Fraction));
    if (found < 0) return null;
    [rows[pivot], rows[found]] = [rows[found] as Fraction[], rows[pivot] as Fraction[]];
    const divisor = (rows[pivot] as Fraction[])[pivot] as Fraction;
    const solved = (rows[pivot] as Fraction[]).map((each) => dividedBy(each, divisor));
    rows[pivot] = solved;
    rows.forEach((row, index) => {
      const factor = row[pivot] as Fraction;
      if (index === pivot || isNone(factor)) return;
      rows[index] = row.map((each, place) => lessThan(each, times(factor, solved[place] as Fraction)));
    });
  }
  return rows.map((row) => row.slice(size));
}
