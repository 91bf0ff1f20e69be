import { type Decimal, ZERO } from '../../number/index.js';
import type { FromReceipt, Holding } from './holding.js';
import type { Movement } from './movement.js';

/** What a movement did, and what there is after it. */
export interface LedgerEntry {
  readonly movement: Movement;
  /** By how much it changed the quantity and the value of what is in stock. */
  readonly quantity: Decimal;
  readonly value: Decimal;
  /** What goes to cost of sales beside the cost of what left: oversold units, and the used part of a late charge. */
  readonly truedUp: Decimal;
  readonly quantityAfter: Decimal;
  readonly valueAfter: Decimal;
}

/** A receipt that late charges belong to: what stock was before it, and where it stands. */
interface Charged {
  readonly holding: Holding;
  readonly index: number;
}

/**
 * Goes through the movements of one material in their order (`movementsOf`), from what was in stock before, and tells each
 * step. A late charge gives what the ledger would hold had it come with its receipt: the ledger is gone through again from
 * there; what is left of it stays in stock, the rest goes to cost of sales. Goods back from a customer come in at the cost
 * they left at, goods back to the supplier and losses of a receipt leave at its cost. The receipts and issues that others
 * belong to have to be among the movements. Works in place, in time that grows with their number.
 *
 * Source: IAS 2.25 and .27; late charges and oversold stock: common practice, as docs/calculation.md says.
 */
export function runLedger<Held extends Holding>(
  from: Held,
  movements: readonly Movement[],
  told?: (entry: LedgerEntry) => void,
): Held {
  let { quantity, value } = from;
  return walkLedger(from, movements, (movement, holding, truedUp) => {
    if (told === undefined) return;
    const [quantityAfter, valueAfter] = [holding.quantity, holding.value];
    const change = { quantity: quantityAfter.minus(quantity), value: valueAfter.minus(value) };
    [quantity, value] = [quantityAfter, valueAfter];
    told({ movement, truedUp, quantityAfter, valueAfter, ...change });
  });
}

/** The same, told only what is held after each movement, and what of it went to cost of sales: for ledgers that are long. */
export function walkLedger<Held extends Holding>(
  from: Held,
  movements: readonly Movement[],
  after: (movement: Movement, holding: Held, truedUp: Decimal, index: number) => void,
): Held {
  const run = new LedgerRun<Held>(from, movements);
  movements.forEach((movement, index) => {
    const truedUp = run.carryOut(movement, index);
    after(movement, run.holding, truedUp, index);
  });
  return run.holding;
}

/** One way through a ledger: what is held, and what later movements have to know of earlier ones. */
class LedgerRun<Held extends Holding> {
  /** The movements that others belong to, and of these the receipts of late charges. */
  private readonly referred: ReadonlySet<string>;
  private readonly late: ReadonlySet<string>;
  /** Late charges so far by their receipt. */
  private readonly charges = new Map<string, Decimal>();
  /** What a unit of a receipt cost, or of an issue left at. */
  private readonly unitCosts = new Map<string, Decimal>();
  private readonly charged = new Map<string, Charged>();

  constructor(
    public holding: Held,
    private readonly movements: readonly Movement[],
  ) {
    this.referred = new Set(movements.flatMap(({ ofMovementId }) => ofMovementId ?? []));
    this.late = new Set(
      movements.flatMap(({ type, ofMovementId }) => (type === 'late charge' ? (ofMovementId ?? []) : [])),
    );
  }

  /** Carries a movement out and gives what goes to cost of sales beside the cost of what left. */
  carryOut(movement: Movement, index: number): Decimal {
    const quantity = movement.quantity ?? ZERO;
    switch (movement.type) {
      case 'opening':
      case 'receipt':
        return this.receive(movement, quantity, index);
      case 'return from customer':
        return this.takeBack(movement, quantity);
      case 'issue':
        return this.issue(movement, quantity);
      case 'return to supplier':
      case 'write-off':
        return this.holding.take(quantity, this.receiptOf(movement)).truedUp;
      case 'count':
        return this.count(movement, quantity);
      case 'late charge':
        return this.chargeLate(movement, index);
    }
  }

  private receive({ id, cost }: Movement, quantity: Decimal, index: number): Decimal {
    if (this.late.has(id)) this.charged.set(id, { holding: this.holding.copy(), index });
    const inAll = (cost ?? ZERO).plus(this.charges.get(id) ?? ZERO);
    if (this.referred.has(id)) this.unitCosts.set(id, inAll.div(quantity));
    return this.holding.add(id, quantity, inAll);
  }

  private issue({ id }: Movement, quantity: Decimal): Decimal {
    const left = this.holding.take(quantity, null);
    if (this.referred.has(id)) this.unitCosts.set(id, left.cost.div(quantity));
    return left.truedUp;
  }

  private takeBack({ id, ofMovementId }: Movement, quantity: Decimal): Decimal {
    const unitCost = this.unitCosts.get(ofMovementId ?? '') ?? this.holding.nextCost ?? ZERO;
    return this.holding.add(id, quantity, quantity.times(unitCost));
  }

  private count({ id }: Movement, counted: Decimal): Decimal {
    const more = counted.minus(this.holding.quantity);
    if (more.isZero()) return ZERO;
    if (more.isNegative()) return this.holding.take(more.negated(), null).truedUp;
    return this.holding.add(id, more, more.times(this.holding.nextCost ?? ZERO));
  }

  private receiptOf({ ofMovementId: id }: Movement): FromReceipt | null {
    const unitCost = id === null ? undefined : this.unitCosts.get(id);
    return id === null || unitCost === undefined ? null : { id, unitCost };
  }

  private chargeLate({ ofMovementId, cost }: Movement, index: number): Decimal {
    const id = ofMovementId ?? '';
    const receipt = this.charged.get(id);
    const charge = cost ?? ZERO;
    if (receipt === undefined) return charge;
    this.charges.set(id, (this.charges.get(id) ?? ZERO).plus(charge));
    const before = this.holding.value;
    this.holding = receipt.holding.copy() as Held;
    for (let at = receipt.index; at < index; at += 1) {
      const movement = this.movements[at] as Movement;
      if (movement.type !== 'late charge') this.carryOut(movement, at);
    }
    return charge.minus(this.holding.value.minus(before));
  }
}
