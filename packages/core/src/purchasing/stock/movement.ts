import { MOVEMENT_TYPES, type MovementType, type RowOf } from '@nuvar/book';
import { type Decimal, decimal } from '../../number/index.js';

/** A movement as the ledger works with it. */
export interface Movement {
  readonly id: string;
  readonly date: string;
  readonly type: MovementType;
  /** Of a count, what was counted; null for a late charge. */
  readonly quantity: Decimal | null;
  readonly cost: Decimal | null;
  readonly ofMovementId: string | null;
}

const RANK = new Map<MovementType, number>(MOVEMENT_TYPES.map((type, rank) => [type, rank]));
const AFTER_ISSUES = (RANK.get('issue') as number) + 0.5;

type Placed = Pick<RowOf<'stockMovement'>, 'id' | 'date' | 'type' | 'ofMovementId'>;

/**
 * Movements of one material in the order in which they count: by day; on one day what comes in before what goes out, and
 * a count last (common practice, no source), but what comes back after the issue of that day that it belongs to, so that
 * it takes back its very cost; then as they were entered.
 */
export function inLedgerOrder<Row extends Placed>(rows: readonly Row[]): Row[] {
  const days = new Map(rows.map(({ id, date }) => [id, date]));
  const rank = ({ type, date, ofMovementId }: Row): number =>
    type === 'return from customer' && ofMovementId !== null && days.get(ofMovementId) === date
      ? AFTER_ISSUES
      : (RANK.get(type) as number);
  return [...rows].sort((one, other) =>
    one.date !== other.date
      ? one.date < other.date
        ? -1
        : 1
      : rank(one) - rank(other) || (one.id < other.id ? -1 : 1),
  );
}

type Moved = Pick<RowOf<'stockMovement'>, 'id' | 'date' | 'type' | 'quantity' | 'cost' | 'ofMovementId'>;

/** Reads rows of the stock ledger, in ledger order. */
export const movementsOf = (rows: readonly Moved[]): Movement[] =>
  inLedgerOrder(rows).map(({ id, date, type, quantity, cost, ofMovementId }) => ({
    id,
    date,
    type,
    ofMovementId,
    quantity: quantity === null ? null : decimal(quantity),
    cost: cost === null ? null : decimal(cost),
  }));
