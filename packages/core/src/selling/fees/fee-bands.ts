import type { RowOf } from '@nuvar/book';
import { compared, decimal } from '../../number/index.js';
import type { Sheet } from '../../sheet/index.js';

/** The bands of a fee, the smallest limit first; the one without a limit last. */
export const bandRows = (sheet: Sheet, rule: RowOf<'feeRule'>): RowOf<'feeBand'>[] =>
  [...sheet.rowsOf('feeBand', 'ruleId', rule.id)].sort(byLimit);

function byLimit(one: RowOf<'feeBand'>, other: RowOf<'feeBand'>): number {
  if (one.upTo === null || other.upTo === null) return Number(one.upTo === null) - Number(other.upTo === null);
  return compared(decimal(one.upTo), decimal(other.upTo));
}
