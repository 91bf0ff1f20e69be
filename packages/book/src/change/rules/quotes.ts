import type { Kind } from '../../kinds.js';
import { type Problem, problem } from '../../problem/index.js';
import { type BookReader, fieldValue, type StoredRow, type Write } from '../stored-row.js';

/** What of a quote that was sent may still be written: what becomes of it, and what the job really needed. */
const FREE_WHEN_SENT: Partial<Readonly<Record<Kind, ReadonlySet<string>>>> = {
  quote: new Set(['state', 'validUntil']),
  quoteOption: new Set(['accepted', 'actualMaterials', 'actualHours', 'actualOther']),
};

/**
 * A quote that was sent stays as it was sent: its terms and texts, its options, and what they were offered at. It can be set
 * back to draft, and changed in the same change.
 */
export function sentQuoteProblems(book: BookReader, writes: readonly Write[]): Problem[] {
  const quoteWrites = new Map(writes.filter(({ kind }) => kind === 'quote').map((write) => [write.id, write]));
  const isSent = (quoteId: string): boolean => {
    const write = quoteWrites.get(quoteId);
    if (write !== undefined)
      return write.before !== null && write.after !== null && ![write.before, write.after].some(isDraft);
    const quote = book.row('quote', quoteId);
    return quote !== undefined && !isDraft(quote);
  };
  return writes.flatMap(({ kind, id, before, after }) => {
    const free = FREE_WHEN_SENT[kind];
    const row = (after ?? before) as StoredRow;
    if (free === undefined || !isSent(kind === 'quote' ? id : (fieldValue(row, 'quoteId') as string))) return [];
    if (before === null || after === null) return [problem('quote-sent', { kind, rowId: id })];
    const field = Object.keys(after).find(
      (each) => each !== 'version' && !free.has(each) && fieldValue(before, each) !== fieldValue(after, each),
    );
    return field === undefined ? [] : [problem('quote-sent', { kind, rowId: id, field })];
  });
}

const isDraft = (quote: StoredRow): boolean => fieldValue(quote, 'state') === 'draft';
