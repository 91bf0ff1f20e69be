import { KINDS, labelOfKind } from '../../kinds.js';
import { problem } from '../../problem/index.js';
import { fieldValue } from '../stored-row.js';
import type { RowRule } from './rule.js';

/** No two rows of a kind bear the same name, as `nameKey` compares names, where the kind says so. */
export const namesDiffer: RowRule = {
  kinds: null,
  reads: ['name'],
  since: 3,
  problems(book, { kind, after }) {
    if (!KINDS[kind].uniqueName) return [];
    const name = fieldValue(after, 'name') as string;
    const isTaken = book.rowsWith(kind, 'name', name).some((other) => other.id !== after.id);
    return isTaken
      ? [problem('name-taken', { kind, rowId: after.id, field: 'name', values: { kind: labelOfKind(kind), name } })]
      : [];
  },
};

/** A product has one price in a channel. */
export const onePriceAChannel: RowRule<'pricePoint'> = {
  kinds: ['pricePoint'],
  reads: ['productId', 'channelId'],
  since: 1,
  problems(book, { after }) {
    const hasSecond = book
      .rowsWith('pricePoint', 'productId', after.productId)
      .some((other) => other.id !== after.id && fieldValue(other, 'channelId') === after.channelId);
    return hasSecond ? [problem('price-exists', { kind: 'pricePoint', rowId: after.id, field: 'channelId' })] : [];
  },
};
