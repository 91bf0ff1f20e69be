import type { DecimalSign } from '../../number/index.js';
import type { ColumnMapping } from './fields.js';
import type { ListNote } from './list-note.js';
import type { DayOrder } from '../../calendar/index.js';

/** What will be done with a row of a price list, or why nothing. */
export type ListOutcome = 'new material' | 'new price' | 'same price' | 'not understood';

/** One row of a price list, as it was understood. */
export interface ListRow {
  /** Its place in the table, from 1, as the supplier sees it. */
  readonly line: number;
  readonly outcome: ListOutcome;
  /** Why it is not understood, or what was assumed. */
  readonly notes: readonly ListNote[];
  readonly name: string;
  readonly code: string;
  readonly supplier: string;
  readonly packQuantity: string;
  readonly packUnit: string;
  readonly price: string | null;
  readonly currency: string;
  readonly validFrom: string;
  readonly minimumOrder: string | null;
  readonly orderedPacks: string | null;
  /** The material of the book that it is a price of; null for a new one. */
  readonly materialId: string | null;
  /** By how many percent it differs by the unit from the price in force on its first day; null where that is not known. */
  readonly changePercent: string | null;
  /** False where the price of another supplier stays in force on its first day. */
  readonly isInForce: boolean;
  /** The word for a unit that nobody knows, where that is why the row is not understood. */
  readonly unknownUnit: string | null;
}

/** How a price list is to be read: which column is which, how numbers and days are written, and what holds for all rows. */
export interface ListReading {
  readonly mapping: ColumnMapping;
  /** Rows before this one are headings and addresses. */
  readonly firstRow: number;
  readonly decimalSign: DecimalSign;
  readonly dayOrder: DayOrder;
  /** What stands for a column that the list does not have. */
  readonly supplier: string;
  readonly currency: string;
  readonly validFrom: string;
  /** Words of the list for units: "Sack" is taken as kg. */
  readonly unitWords: Readonly<Record<string, string>>;
  /** Rows that were linked by hand to a material, or said to be new (null), by their line. */
  readonly linked: Readonly<Record<number, string | null>>;
}
