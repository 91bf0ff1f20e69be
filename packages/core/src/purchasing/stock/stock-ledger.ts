import { compareDecimalText, problem, type Problem, type StoredRow, type Write } from '@nuvar/book';
import type { LedgerFold } from '../../sheet/index.js';
import { movementsOf } from './movement.js';
import { firstBelowZero, type KeptPosition, positionsByDay } from './position.js';

type Movement = StoredRow<'stockMovement'>;

/** How the stock ledger of a material is gone through, and what may not be taken back from it. */
export const STOCK_LEDGER: LedgerFold<Movement, KeptPosition> = {
  fold: (before, rows) => positionsByDay(before, movementsOf(rows)),
  takenBackTooMuch(writes, materialId, days): Problem[] {
    const taken = writes.find((write) => takesGoodsBack(write, materialId));
    const below = firstBelowZero(days);
    if (taken === undefined || below === null) return [];
    const { unit } = taken.before as Movement;
    const values = { material: materialId, quantity: below.quantity, unit, day: below.day };
    return [problem('receipt-used', { kind: 'stockMovement', rowId: taken.id, values })];
  },
};

/** True for a receipt of the material that goes, or becomes less or later. */
function takesGoodsBack({ before, after }: Write, materialId: string): boolean {
  const [was, is] = [before as Movement | null, after as Movement | null];
  if (was?.materialId !== materialId || !['receipt', 'opening'].includes(was.type)) return false;
  const isLess = is !== null && compareDecimalText(is.quantity ?? '0', was.quantity ?? '0') < 0;
  return is === null || isLess || is.date > was.date;
}
