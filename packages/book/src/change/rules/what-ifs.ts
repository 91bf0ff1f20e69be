import { problem } from '../../problem/index.js';
import { readOverride } from '../../what-if/index.js';
import type { RowRule } from './rule.js';

/** The format of book files from which on there are what-ifs. */
const WHAT_IFS_SINCE = 15;

/** A change of a what-if can be read: it names a field that there is, and a value in the form in which values are kept. */
export const whatIfChangesCanBeRead: RowRule<'whatIfChange'> = {
  kinds: ['whatIfChange'],
  reads: ['rowKind', 'rowId', 'field', 'how', 'value'],
  since: WHAT_IFS_SINCE,
  problems(_book, { after }) {
    const reading = readOverride(after);
    if ('override' in reading) return [];
    return [problem('unreadable-what-if', { kind: 'whatIfChange', rowId: after.id, field: 'value', values: reading })];
  },
};
