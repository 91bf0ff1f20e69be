import { Decimal, ZERO } from '../../number/index.js';
import type { FromReceipt, Holding, Left } from './holding.js';

/** What is left of one receipt. */
export interface Layer {
  /** The movement that opened it. */
  readonly id: string;
  quantity: Decimal;
  cost: Decimal;
}

/** What was used last: its cost for a quantity, from which that of a unit follows. */
interface UsedOf {
  readonly cost: Decimal;
  readonly quantity: Decimal;
}

/**
 * First in, first out (IAS 2.27): a receipt opens a layer, and what goes out uses the oldest layers first. What goes out
 * beyond the stock costs provisionally what was used last; a receipt covers it at its own cost, and the difference goes to
 * cost of sales.
 */
export class FirstInFirstOut implements Holding {
  /** Layers before this one are used up. */
  private first = 0;

  constructor(
    private layers: Layer[] = [],
    private oversold: Decimal = ZERO,
    private usedLast: Decimal | UsedOf | null = null,
    private held: Decimal = Decimal.sum(ZERO, ...layers.map(({ quantity }) => quantity)),
    private worth: Decimal = Decimal.sum(ZERO, ...layers.map(({ cost }) => cost)),
  ) {}

  get quantity(): Decimal {
    return this.oversold.isZero() ? this.held : this.held.minus(this.oversold);
  }

  get value(): Decimal {
    return this.oversold.isZero() ? this.worth : this.oversold.times(this.last ?? ZERO).negated();
  }

  get nextCost(): Decimal | null {
    const oldest = this.layers[this.first];
    return oldest === undefined ? this.last : oldest.cost.div(oldest.quantity);
  }

  /** What a unit that was used last cost; null before anything was. */
  get last(): Decimal | null {
    if (this.usedLast !== null && 'cost' in this.usedLast)
      this.usedLast = this.usedLast.cost.div(this.usedLast.quantity);
    return this.usedLast;
  }

  /** The layers that are open, the oldest first. */
  get open(): readonly Layer[] {
    return this.layers.slice(this.first);
  }

  add(id: string, quantity: Decimal, cost: Decimal): Decimal {
    if (this.oversold.isZero()) {
      this.push({ id, quantity, cost });
      return ZERO;
    }
    const covered = Decimal.min(quantity, this.oversold);
    const ofCovered = cost.times(covered).div(quantity);
    const truedUp = ofCovered.minus(covered.times(this.last ?? ZERO));
    this.oversold = this.oversold.minus(covered);
    const layer = { id, quantity: quantity.minus(covered), cost: cost.minus(ofCovered) };
    if (layer.quantity.isZero()) {
      if (this.oversold.isZero()) this.usedLast = { cost, quantity };
      return truedUp;
    }
    this.push(layer);
    return truedUp;
  }

  take(quantity: Decimal, from: FromReceipt | null): Left {
    const before = this.value;
    let left = quantity;
    if (from !== null) {
      const own = this.layers.findIndex((layer, index) => index >= this.first && layer.id === from.id);
      if (own >= 0) left = left.minus(this.takeOf(own, left));
    }
    while (!left.isZero() && this.first < this.layers.length) left = left.minus(this.takeOf(this.first, left));
    this.oversold = this.oversold.plus(left);
    this.tidy();
    return { cost: before.minus(this.value), truedUp: ZERO };
  }

  copy(): FirstInFirstOut {
    const layers = this.open.map((layer) => ({ ...layer }));
    return new FirstInFirstOut(layers, this.oversold, this.usedLast, this.held, this.worth);
  }

  private push(layer: Layer): void {
    this.layers.push(layer);
    this.held = this.held.plus(layer.quantity);
    this.worth = this.worth.plus(layer.cost);
  }

  /** Takes as much as there is of a layer, and says how much that was. */
  private takeOf(index: number, wanted: Decimal): Decimal {
    const layer = this.layers[index] as Layer;
    const taken = Decimal.min(wanted, layer.quantity);
    // A layer that is drawn from keeps its cost per unit: it is worked out once somebody asks.
    this.usedLast = { cost: layer.cost, quantity: layer.quantity };
    const isAll = taken.eq(layer.quantity);
    const cost = isAll ? layer.cost : layer.cost.times(taken).div(layer.quantity);
    this.held = this.held.minus(taken);
    this.worth = this.held.isZero() ? ZERO : this.worth.minus(cost);
    if (!isAll) {
      layer.quantity = layer.quantity.minus(taken);
      layer.cost = layer.cost.minus(cost);
    } else if (index === this.first) {
      this.first += 1;
    } else {
      this.layers.splice(index, 1);
    }
    return taken;
  }

  /** Used up layers are let go of once they are more than those that are open. */
  private tidy(): void {
    if (this.first < 64 || this.first * 2 < this.layers.length) return;
    this.layers = this.layers.slice(this.first);
    this.first = 0;
  }
}
