import type { Kind, StoredRow } from '@nuvar/book';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';

/** A row of any kind that belongs to a product. */
type RowOfProduct = {
  [K in Kind]: StoredRow<K> extends { readonly productId: string } ? StoredRow<K> : never;
}[Kind];

/** What a row of a product comes to for one batch, as its cost card has it. */
export function costPerBatchColumn<Row extends RowOfProduct, Patch>(currency: string): Column<Row, Patch> {
  return figureColumn({
    id: 'cost',
    header: `${currency} per batch`,
    view: 'card',
    of: (row: Row) => row.productId,
    pick: (card, row) => card.rowCosts[row.id],
    digits: 2,
  });
}
