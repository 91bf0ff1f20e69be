import { type Figure, type Gap, missing } from '../figure/index.js';
import { BATCH, HOUR, money, type Sheet } from '../sheet/index.js';
import { endlessBill } from './bill-levels.js';
import { productionGap } from './gaps.js';
import { type CostRow, itemOn, type Taking } from './taking.js';

/**
 * What stands in the place of all takings of a product whose bill cannot be worked out; null where it can. Its cost and
 * its hours are a gap.
 */
export function endlessTaking(sheet: Sheet, productId: string): Taking | null {
  const subject = sheet.row('product', productId)?.name ?? 'this product';
  const reason = endlessBill(sheet, productId, subject);
  return reason && takingOf(sheet, productId, subject, reason);
}

/** What stands in the place of the takings of a product of which nothing is said yet: its cost is a gap, and it has no hours. */
export function emptyTaking(sheet: Sheet, productId: string): Taking {
  const subject = sheet.row('product', productId)?.name ?? 'this product';
  const place = { kind: 'product', id: productId, field: 'bill' } as const;
  return { ...takingOf(sheet, productId, subject, productionGap('nothing-in-it', place, { subject })), hours: null };
}

function takingOf(sheet: Sheet, productId: string, subject: string, reason: Gap): Taking {
  const none = (name: string, of: Figure['unit']) => missing({ name, subject, unit: of }, reason);
  return {
    kind: 'product',
    id: productId,
    of: null,
    basis: 'batch',
    quantity: none('What goes into it', money(sheet).per(BATCH)),
    hours: none('Labour hours per batch', HOUR.per(BATCH)),
  };
}

/** The product as a whole, where there is nothing below it that could be worked out. */
export const wholeProduct: CostRow = {
  kind: 'product',
  takings: () => [],
  priced: () => null,
  cost: (_sheet, taking) => itemOn('materials', taking, null, taking.quantity),
};
