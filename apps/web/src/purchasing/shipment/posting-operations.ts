import { newId, type Operation } from '@nuvar/book';
import type { PostedFields, ShipmentPostingView } from '@nuvar/core';
import { createOf, updateOf } from '../../book/operations.js';
import { model } from '../../book/model.js';

/** What keeps a shipment as it is posted, as operations of one change; with its state, where that changes too. */
export const postingOperations = ({ posting }: ShipmentPostingView, state?: 'received'): Operation[] => [
  ...posting.rows.flatMap((row) => written(row.kind === 'shipment' && state ? withState(row, state) : row)),
  ...posting.chargedLines.map((chosen) => createOf('chargedLine', newId(), chosen)),
];

/** What opens a posted shipment again. */
export const reopeningOperations = ({ reopening }: ShipmentPostingView): Operation[] => reopening.flatMap(written);

const withState = (row: PostedFields, state: string): PostedFields => ({ ...row, fields: { ...row.fields, state } });

function written({ kind, id, fields }: PostedFields): Operation[] {
  const row = model.rows.row(kind, id);
  return row === undefined ? [] : updateOf(kind, row, fields);
}
