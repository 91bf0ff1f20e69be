import type { RowOf } from '@nuvar/book';
import type { Figure } from '../../figure/index.js';
import type { Unit } from '../../quantity/index.js';
import type { SoldProduct } from '../dispatch/packing.js';

/** Who sells what: of it the amounts of a fee are brought to one unit. */
export interface FeeContext {
  readonly channel: RowOf<'channel'>;
  /** Null where a price is only tried, of no product. */
  readonly product: SoldProduct | null;
  readonly output: Unit;
  readonly unitsPerOrder: () => Figure;
  readonly monthsInStore: () => Figure;
}
