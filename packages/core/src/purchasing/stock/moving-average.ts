import { Decimal, ZERO } from '../../number/index.js';
import type { FromReceipt, Holding, Left } from './holding.js';

/**
 * Moving weighted average (IAS 2.27): a receipt makes the average (Q0 A0 + Q1 C1) / (Q0 + Q1); what goes out costs the
 * average. What goes out beyond the stock costs the last average provisionally; a receipt covers it at its own cost, the
 * difference goes to cost of sales, and the new average is that of the receipt. At a quantity of zero the value is zero.
 */
export class MovingAverage implements Holding {
  constructor(
    public quantity: Decimal = ZERO,
    public value: Decimal = ZERO,
    /** The average when something was last there; it is worked out only once nothing is, for a division is dear. */
    private lastCost: Decimal | null = null,
  ) {}

  get nextCost(): Decimal | null {
    return this.quantity.gt(ZERO) ? this.value.div(this.quantity) : this.lastCost;
  }

  add(_id: string, quantity: Decimal, cost: Decimal): Decimal {
    const after = this.quantity.plus(quantity);
    if (!this.quantity.isNegative()) {
      this.quantity = after;
      this.value = this.value.plus(cost);
      return ZERO;
    }
    const provisional = this.lastCost ?? ZERO;
    const covered = Decimal.min(quantity, this.quantity.negated());
    const truedUp = cost.times(covered).div(quantity).minus(covered.times(provisional));
    this.quantity = after;
    if (after.isNegative()) {
      this.value = after.times(provisional);
      return truedUp;
    }
    this.value = after.isZero() ? ZERO : cost.times(after).div(quantity);
    if (after.isZero()) this.lastCost = cost.div(quantity);
    return truedUp;
  }

  take(quantity: Decimal, from: FromReceipt | null): Left {
    const after = this.quantity.minus(quantity);
    const before = this.value;
    if (!after.gt(ZERO)) this.lastCost = this.nextCost;
    if (from !== null && !after.isNegative()) {
      const cost = quantity.times(from.unitCost);
      const left = before.minus(cost);
      // Nothing in stock is worth nothing, and what is there is worth no less: the difference is cost of sales.
      this.value = after.isZero() || left.isNegative() ? ZERO : left;
      this.quantity = after;
      return { cost, truedUp: left.minus(this.value) };
    }
    if (after.isNegative()) this.value = after.times(this.lastCost ?? ZERO);
    else this.value = after.isZero() ? ZERO : before.times(after).div(this.quantity);
    this.quantity = after;
    return { cost: before.minus(this.value), truedUp: ZERO };
  }

  copy(): MovingAverage {
    return new MovingAverage(this.quantity, this.value, this.lastCost);
  }
}
