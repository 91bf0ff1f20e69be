import type { Decimal } from '../../number/index.js';

/** What leaves stock at the cost of one receipt: goods that go back, or that were lost as they came. */
export interface FromReceipt {
  readonly id: string;
  readonly unitCost: Decimal;
}

/** What a step makes of the cost of what left, and what of it goes to cost of sales beside it. */
export interface Left {
  readonly cost: Decimal;
  readonly truedUp: Decimal;
}

/**
 * What is in stock of a material, by one method of valuation. It is changed in place, step by step: a ledger of half a
 * million movements makes no half million states.
 */
export interface Holding {
  /** In base units; below zero where more went out than had come in. */
  readonly quantity: Decimal;
  /** In the currency of the book; below zero stock it is what is provisionally owed for it. */
  readonly value: Decimal;
  /** What a unit that goes out next costs, and where nothing is left what the last one cost; null before anything came in. */
  readonly nextCost: Decimal | null;
  /**
   * Brings in a quantity at a cost in all. Gives what goes to cost of sales because units had been oversold at a
   * provisional cost: covered units x (cost per unit - provisional cost).
   */
  add(id: string, quantity: Decimal, cost: Decimal): Decimal;
  /** Takes a quantity out, at the cost of a receipt where one is named. */
  take(quantity: Decimal, from: FromReceipt | null): Left;
  copy(): Holding;
}
