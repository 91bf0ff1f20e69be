import type { MethodType, RowOf } from '@nuvar/book';
import type { Sheet } from '../../sheet/index.js';
import type { Driver } from '../driver.js';
import type { SharedOut } from '../lot.js';

/** A costing method as it is read: a row of the book, or the standard method where there is none. */
export type MethodRow = Omit<RowOf<'costingMethod'>, 'position' | 'role'>;

/**
 * One way to share out overhead. A new one is a type in the book, a file with one of these and its line in `METHODS`: card,
 * full cost, prices, batch sizes and comparisons follow.
 */
export interface OverheadMethod {
  readonly type: MethodType;
  /** What it makes of the fixed and stepped overhead of the book; variable costs go by their own drivers. */
  shareOut(sheet: Sheet, method: MethodRow): SharedOut;
  /** The drivers of work that the method reaches nowhere, and that a product should not have. */
  strayDrivers?(sheet: Sheet): readonly Driver[];
}
