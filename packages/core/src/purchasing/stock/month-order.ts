import { type Decimal } from '../../number/index.js';
import type { Holding } from './holding.js';
import { runLedger } from './ledger.js';
import type { Movement } from './movement.js';

/**
 * The order in which a month is valued as one (periodic average, periodic first in, first out), month after month: first
 * what came in, with late charges; then what comes back of issues of earlier months, which is available as well; then what
 * leaves at the cost of its receipt, out of what is available; last all else in its own order. A count stays what it found
 * where it was made, for what moves before it may stand behind it. A month that has not ended is valued as far as it goes.
 *
 * @param movements in ledger order
 * @param before what was in stock before the first of them
 *
 * Source: IAS 2.27 (average on a periodic basis); the place of returns and counts: docs/calculation.md.
 */
export function inMonthOrder(movements: readonly Movement[], before: Holding): Movement[] {
  const monthOf = new Map(movements.map(({ id, date }) => [id, month(date)]));
  const rank = ({ type, date, ofMovementId }: Movement): number => {
    if (['opening', 'receipt', 'late charge'].includes(type)) return 0;
    const months = ofMovementId === null ? undefined : monthOf.get(ofMovementId);
    if (type === 'return to supplier' || type === 'write-off') return months === undefined ? 3 : 2;
    return type === 'return from customer' && months !== undefined && months < month(date) ? 1 : 3;
  };
  const sorted = withCountsFixed(movements, before).map((movement, index) => ({ movement, index }));
  sorted.sort((one, other) => {
    const [earlier, later] = [month(one.movement.date), month(other.movement.date)];
    if (earlier !== later) return earlier < later ? -1 : 1;
    return rank(one.movement) - rank(other.movement) || one.index - other.index;
  });
  return sorted.map(({ movement }) => movement);
}

/** The month of a day: "2026-11". */
export const month = (date: string): string => date.slice(0, 7);

/** The movements with each count as what it found missing or too much, where it was made. */
function withCountsFixed(movements: readonly Movement[], before: Holding): readonly Movement[] {
  const found = new Map<string, Decimal>();
  if (movements.some(({ type }) => type === 'count'))
    runLedger(before.copy(), movements, ({ movement, quantity }) => void found.set(movement.id, quantity));
  return movements.flatMap((movement): readonly Movement[] => {
    const change = movement.type === 'count' ? found.get(movement.id) : undefined;
    if (change === undefined) return [movement];
    if (change.isZero()) return [];
    return change.isNegative()
      ? [{ ...movement, type: 'issue', quantity: change.negated() }]
      : [{ ...movement, type: 'return from customer', quantity: change, ofMovementId: null }];
  });
}
