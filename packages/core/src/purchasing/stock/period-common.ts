import type { Figure } from '../../figure/index.js';
import type { Decimal } from '../../number/index.js';
import type { Movement } from './movement.js';

/** What one method makes of the movements of a period. */
export interface MethodOfPeriod {
  readonly opening: Figure;
  readonly received: Figure;
  /**
   * Cost of use, with what was trued up: opening + received - back to the supplier - written off - closing, and for standard less
   * its variances.
   */
  readonly used: Figure;
  /** What went back to the supplier, and what was written off: no use. Null where there is nothing of it. */
  readonly toSupplier: Figure | null;
  readonly writtenOff: Figure | null;
  readonly closing: Figure;
  readonly perUnit: Figure | null;
  /** Standard only: what was paid above (+) the standard (purchase price variance), and what a new standard changed. */
  readonly priceVariance: Figure | null;
  readonly revaluation: Figure | null;
}

/** What all methods begin with: what came in and what is left, and how an amount of the ledger is said. */
export interface Common {
  readonly subject: string;
  readonly cash: Figure['unit'];
  readonly held: Figure['unit'];
  readonly said: (name: string, amount: Decimal, of: Figure['unit']) => Figure;
  readonly received: Figure;
  readonly closingQuantity: Figure;
  /** Quantities that went back to the supplier, and that were written off, in the period. */
  readonly back: readonly Movement[];
  readonly lost: readonly Movement[];
}
