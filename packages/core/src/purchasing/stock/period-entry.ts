import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, input, multiplied, quotient, sum } from '../../figure/index.js';
import { type Decimal, isPositive } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { dayIn, money, type Sheet } from '../../sheet/index.js';
import type { LedgerEntry } from './ledger.js';

/** A movement in the ledger of a period, with what there is after it. */
export interface PeriodEntry {
  readonly movementId: string;
  readonly quantity: Figure;
  /** What it changed the value of stock by, how that comes about, and what went to cost of sales beside it. */
  readonly value: Figure;
  readonly truedUp: Figure | null;
  readonly quantityAfter: Figure;
  readonly valueAfter: Figure;
  readonly perUnitAfter: Figure | null;
}

/** The ledger that entries are of: its material, and the method by which it goes. */
export interface LedgerOf {
  readonly material: RowOf<'material'> | undefined;
  readonly method: 'moving average' | 'first in, first out' | 'standard';
}

/** An amount that the ledger has come to on a day: it stands for all movements until then. */
export const ofLedger = (
  sheet: Sheet,
  { material, method }: LedgerOf,
  name: string,
  amount: Decimal,
  of: Figure['unit'],
  day: string,
): Figure => constant(name, amount, of, `stock ledger of ${material?.name ?? ''} to ${dayIn(sheet, day)}, ${method}`);

export const quantityUnit = ({ material }: LedgerOf) => unit(material?.baseUnit ?? 'each');

/**
 * A step of the ledger of a book on standard cost: what moved and what is there x the standard price of the day. What a receipt
 * or a late charge cost beside that is the price variance, which stands under what went to cost of sales.
 */
export function standardEntry(
  sheet: Sheet,
  of: LedgerOf,
  row: RowOf<'stockMovement'>,
  entry: LedgerEntry,
  standard: Figure,
): PeriodEntry {
  const subject = of.material?.name ?? '';
  const counted = (name: string, amount: Decimal) => ofLedger(sheet, of, name, amount, quantityUnit(of), row.date);
  const moved = counted('Quantity moved', entry.quantity);
  const after = counted('Quantity after', entry.quantityAfter);
  const value = multiplied({ name: 'Moved at standard', subject }, moved, standard);
  const place = { kind: 'stockMovement', id: row.id, field: 'cost' } as const;
  const posted = row.cost === null ? null : input({ name: 'Posted', subject, unit: money(sheet) }, place, row.cost);
  const variance = posted && difference({ name: 'Price variance', subject }, posted, value);
  return {
    movementId: row.id,
    quantity: moved,
    value,
    quantityAfter: after,
    truedUp: variance === null || variance.amount?.isZero() === true ? null : variance,
    valueAfter: multiplied({ name: 'Value after', subject }, after, standard),
    perUnitAfter: isPositive(entry.quantityAfter) ? standard : null,
  };
}

/** A step of the ledger as figures: value after = value before + change; what left by the average is quantity x average. */
export function periodEntry(sheet: Sheet, of: LedgerOf, row: RowOf<'stockMovement'>, entry: LedgerEntry): PeriodEntry {
  const subject = of.material?.name ?? '';
  const { quantity, value, truedUp, quantityAfter, valueAfter } = entry;
  const inMoney = (name: string, amount: Decimal) => ofLedger(sheet, of, name, amount, money(sheet), row.date);
  const counted = (name: string, amount: Decimal) => ofLedger(sheet, of, name, amount, quantityUnit(of), row.date);
  const before = {
    quantity: counted('Quantity before', quantityAfter.minus(quantity)),
    value: inMoney('Value before', valueAfter.minus(value)),
  };
  const moved = counted('Quantity moved', quantity);
  const change = changeOf();
  const afterValue = sum({ name: 'Value after', subject }, money(sheet), [before.value, change]);
  const after = sum({ name: 'Quantity after', subject }, quantityUnit(of), [before.quantity, moved]);
  return {
    movementId: row.id,
    quantity: moved,
    value: change,
    truedUp: truedUp.isZero() ? null : inMoney('To cost of sales', truedUp),
    quantityAfter: after,
    valueAfter: afterValue,
    perUnitAfter: isPositive(quantityAfter)
      ? quotient({ name: 'Value per base unit', subject }, afterValue, after)
      : null,
  };

  /** What was posted where that is what counts; of what left by the average, quantity x average. */
  function changeOf(): Figure {
    if (row.cost !== null) {
      const place = { kind: 'stockMovement', id: row.id, field: 'cost' } as const;
      const posted = input({ name: 'Posted', subject, unit: money(sheet) }, place, row.cost);
      if (row.type === 'late charge')
        return difference({ name: 'Left in stock', subject }, posted, inMoney('Used since', truedUp));
      const isReceipt = row.type === 'opening' || row.type === 'receipt';
      if (isReceipt && truedUp.isZero()) return posted;
      if (isReceipt)
        return difference({ name: 'Into stock', subject }, posted, inMoney('Of what was used before it came', truedUp));
    }
    return row.type === 'issue' && isByAverage() ? atAverage() : inMoney('Change in value', value);
  }

  function isByAverage(): boolean {
    const held = before.quantity.amount;
    return of.method === 'moving average' && held !== null && isPositive(held) && !quantityAfter.isNegative();
  }

  function atAverage(): Figure {
    const average = quotient({ name: 'Moving average', subject }, before.value, before.quantity);
    return multiplied({ name: 'Cost of use', subject }, moved, average);
  }
}
