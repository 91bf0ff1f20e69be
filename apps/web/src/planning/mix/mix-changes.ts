import { copyOf, newId, type CreateOperation, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../../book/model.js';
import { updateOf } from '../../book/operations.js';
import { freeName } from '../../controls/rows-writer.js';

type Product = StoredRow<'mixProduct'>;

/** Brings the quantities of a plan to others: by the ids of its products, in the order of the quantities. */
export function quantitiesTo(ids: readonly string[], quantities: readonly string[]): Operation[] {
  return ids.flatMap((id, index) => {
    const row = model.rows.row('mixProduct', id);
    return row === undefined ? [] : updateOf('mixProduct', row, { quantity: quantities[index] ?? '0' });
  });
}

/** Another plan with all that belongs to one, and other quantities; its id is given. */
export function savedAs(
  plan: StoredRow<'mixPlan'>,
  ids: readonly string[],
  quantities: readonly string[],
  id: string,
): Operation[] {
  const copies = copyOf(model.rows, 'mixPlan', plan, id, { name: freeName('mixPlan', `${plan.name}, best`) }, newId);
  const originals = ids.map((each) => model.rows.row('mixProduct', each));
  return copies.map((copy) => {
    if (copy.kind !== 'mixProduct') return copy;
    const index = originals.findIndex((row) => row !== undefined && isCopyOf(copy, row));
    return { ...copy, row: { ...copy.row, quantity: quantities[index] ?? '0' } };
  });
}

/** True for the copy of a product in another plan. */
const isCopyOf = ({ row }: CreateOperation, { position, productId, channelId, name }: Product): boolean =>
  row.position === position && row.productId === productId && row.channelId === channelId && row.name === name;
