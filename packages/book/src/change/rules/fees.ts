import { compareDecimalText } from '../../fields/index.js';
import { problem } from '../../problem/index.js';
import type { RowRule } from './rule.js';

/** The format of book files from which on channels take fees by rules. */
const FEES_SINCE = 8;

/** What a fee comes to at least is no more than what it comes to at most. */
export const leastIsNotAboveMost: RowRule<'feeRule'> = {
  kinds: ['feeRule'],
  reads: ['minimum', 'maximum'],
  since: FEES_SINCE,
  problems(_book, { after: { id, minimum, maximum } }) {
    return minimum !== null && maximum !== null && compareDecimalText(minimum, maximum) > 0
      ? [problem('least-above-most', { kind: 'feeRule', rowId: id, field: 'maximum' })]
      : [];
  },
};
