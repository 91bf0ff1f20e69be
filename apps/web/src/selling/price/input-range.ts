import { newId } from '@nuvar/book';
import { model } from '../../book/model.js';
import { createOf, updateOf } from '../../book/operations.js';
import { useEdit } from '../../book/use-book.js';

/** The range of an input of a price, as it stands in the book. */
type RangeFields = Readonly<Partial<Record<'lowPercent' | 'highPercent' | 'shape', string>>>;

/** Writes a part of the range of an input; the rest is as it is, or as usual where the book has no such range yet. What is wrong, or null. */
export function useWriteRange(pointId: string, input: string, usual: RangeFields) {
  const edit = useEdit();
  return (fields: RangeFields): string | null => {
    const known = model.rows.rowsWith('inputRange', 'pricePointId', pointId).find((row) => row.input === input);
    const operations =
      known === undefined
        ? [createOf('inputRange', newId(), { pricePointId: pointId, input, ...usual, ...fields })]
        : updateOf('inputRange', known, fields);
    return edit(operations)[0]?.sentence ?? null;
  };
}
