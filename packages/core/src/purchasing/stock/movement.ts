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

/**
 * Movements of one material in the order in which they count: by day; on one day what comes in before what goes out, and
 * a count last (common practice, no source); then as they were entered.
 */
export function inLedgerOrder<Row extends Pick<RowOf<'stockMovement'>, 'id' | 'date' | 'type'>>(
  rows: readonly Row[],
): Row[] {
  const rank = ({ type }: Row) => RANK.get(type) as number;
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
    ...{ id, date, type, ofMovementId },
    quantity: quantity === null ? null : decimal(quantity),
    cost: cost === null ? null : decimal(cost),
  }));
