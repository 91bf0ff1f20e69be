import type { Ledger, StoredRow } from '@nuvar/book';
import { STOCK_LEDGER } from './purchasing/index.js';
import type { LedgerFold } from './sheet/index.js';

/** How each ledger of a book is gone through. */
export const LEDGER_FOLDS: { readonly [L in Ledger]: LedgerFold<StoredRow<L>, object> } = {
  stockMovement: STOCK_LEDGER as LedgerFold<StoredRow<'stockMovement'>, object>,
};
