import { compareDecimalText, nameKey } from '../../fields/index.js';
import { problem } from '../../problem/index.js';
import type { StoredRow } from '../stored-row.js';
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

/** No channel is fulfilled by itself, however many others lie between. */
export const fulfilledByAnother: RowRule<'channel'> = {
  kinds: ['channel'],
  reads: ['fulfilledById'],
  since: FEES_SINCE,
  problems(book, { after }) {
    const seen = new Set([after.id]);
    const fulfiller = (id: string): string | null =>
      (book.row('channel', id) as StoredRow<'channel'> | undefined)?.fulfilledById ?? null;
    for (let next = after.fulfilledById; next !== null; next = fulfiller(next)) {
      if (next === after.id)
        return [problem('fulfilled-in-a-circle', { kind: 'channel', rowId: after.id, field: 'fulfilledById' })];
      if (seen.has(next)) return [];
      seen.add(next);
    }
    return [];
  },
};

/** A carrier has one rate for a zone and a weight. */
export const oneRateAWeight: RowRule<'carrierRate'> = {
  kinds: ['carrierRate'],
  reads: ['tableId', 'zone', 'upToKilograms'],
  since: FEES_SINCE,
  problems(book, { after: { id, tableId, zone, upToKilograms } }) {
    const rates = book.rowsWith('carrierRate', 'tableId', tableId) as readonly StoredRow<'carrierRate'>[];
    const hasSecond = rates.some(
      (other) =>
        other.id !== id &&
        nameKey(other.zone.trim()) === nameKey(zone.trim()) &&
        compareDecimalText(other.upToKilograms, upToKilograms) === 0,
    );
    return hasSecond ? [problem('rate-entered-twice', { kind: 'carrierRate', rowId: id, field: 'upToKilograms' })] : [];
  },
};

/** Packing is of a material or of work, not of both. */
export const packingIsOfOneItem: RowRule<'packingLine'> = {
  kinds: ['packingLine'],
  reads: ['materialId', 'gradeId'],
  since: FEES_SINCE,
  problems(_book, { after: { id, materialId, gradeId } }) {
    return materialId !== null && gradeId !== null
      ? [problem('packing-of-two', { kind: 'packingLine', rowId: id, field: 'gradeId' })]
      : [];
  },
};
