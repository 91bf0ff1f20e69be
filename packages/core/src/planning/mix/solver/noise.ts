const NEAR = 1e-7;
const DIGITS = 10;

/** True for what is no more than the noise of the solver beside amounts of such a size. */
export const isNothing = (value: number, scale = 1): boolean => Math.abs(value) <= NEAR * Math.max(1, Math.abs(scale));

/**
 * A value without the noise of the solver beside amounts of such a size: the number of few digits that lies within that noise,
 * else ten digits of it.
 */
export function settledTo(value: number, size: number): number {
  const noise = 2 * NEAR * Math.max(Math.abs(size), Math.abs(value));
  if (Math.abs(value) <= noise * 1e-2) return 0;
  for (let digits = 1; digits <= FEW_DIGITS; digits += 1) {
    const simple = Number(value.toPrecision(digits));
    if (Math.abs(value - simple) <= noise) return simple + 0;
  }
  return Number(value.toPrecision(DIGITS));
}

const FEW_DIGITS = 4;
