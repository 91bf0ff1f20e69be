import { decimal, type Decimal, HUNDRED, isPositive } from '../../number/index.js';

/** What of a limit may be noise of the solver, in parts of it. */
const NOISE = decimal('0.000001');

/** True where something goes beyond a limit by more than noise. */
export const isBeyond = (by: Decimal | null, of: Decimal | null): boolean =>
  by !== null && isPositive(by) && by.gt((of === null || of.lt(1) ? decimal('1') : of).mul(NOISE));

/** What is used in percent of what there is; as much as one likes where there is nothing. Null where either is not known. */
export function filledPercent(there: Decimal | null, used: Decimal | null): number | null {
  if (there === null || used === null) return null;
  if (there.isZero()) return used.isZero() ? 0 : Number.MAX_SAFE_INTEGER;
  return used.div(there).mul(HUNDRED).toNumber();
}
