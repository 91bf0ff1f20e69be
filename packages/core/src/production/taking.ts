import type { Kind } from '@nuvar/book';
import type { Figure } from '../figure/index.js';
import type { Sheet } from '../sheet/index.js';
import type { Batch } from './batch.js';
import type { Element } from './elements.js';

/** What is taken of, or null for an amount that is of nothing else in the book. */
export interface ItemOf {
  readonly kind: 'material' | 'product' | 'labourGrade' | 'equipment' | 'equipmentRun';
  readonly id: string;
  readonly name: string;
}

/** How a taking grows with the size of a batch: not at all, with the units started, or with those that come out good. */
export type TakingBasis = 'batch' | 'started unit' | 'good unit';

/** What a row takes of a batch. It reads no price, so that a price never moves hours and quantities. */
export interface Taking {
  /** The row that takes it. */
  readonly kind: Kind;
  readonly id: string;
  readonly of: ItemOf | null;
  readonly basis: TakingBasis;
  /** For one batch as large as it is now: kg, hours, places, pieces; how many times, for an amount. */
  readonly quantity: Figure;
  /** Productive labour hours of the batch, those inside a component included; null where there are none. */
  readonly hours: Figure | null;
}

/** What a taking costs the batch, by element; null for those that it does not touch. A component has a cost in several. */
export interface CostItem extends Readonly<Record<Element, Figure | null>> {
  readonly taking: Taking;
  /** What it is costed at for each of its quantity; null where it is not linked to anything. */
  readonly price: Figure | null;
}

/** What one good unit of a component costs, by element and together. */
export type UnitCost = Readonly<Record<Element | 'variableCost', Figure>>;

/**
 * A kind of row that costs something. A new one is a file with one of these and a line in `COST_ROWS`: cost, card, batch
 * sizes, losses, hours and comparisons follow.
 */
export interface CostRow {
  readonly kind: Kind;
  /** What the rows of this kind take of a batch of a product. `hoursIn` gives the labour hours in a unit of a component. */
  takings(sheet: Sheet, productId: string, units: Batch, hoursIn: (componentId: string) => Figure): readonly Taking[];
  /**
   * All that the cost of a taking depends on beside the taking itself: as long as it is the same object, so is the cost.
   * `costOf` gives the cost of a unit of a component.
   */
  priced(sheet: Sheet, taking: Taking, costOf: (componentId: string) => UnitCost): object | null;
  /** What a taking of a batch costs, at what it is priced at. It may use nothing else than these. */
  cost(sheet: Sheet, taking: Taking, priced: object | null, units: Batch): CostItem;
  /** The share of a taking that is wasted on the way in, in percent; null where nothing is. Asked only where losses are. */
  waste?(sheet: Sheet, taking: Taking): Figure | null;
}

/** An item whose cost falls on one element, or on one and the landed add-on of it. */
export function itemOn(
  element: Element,
  taking: Taking,
  price: Figure | null,
  cost: Figure,
  landed: Figure | null = null,
): CostItem {
  return {
    taking,
    price,
    materials: element === 'materials' ? cost : null,
    landed,
    packaging: element === 'packaging' ? cost : null,
    labour: element === 'labour' ? cost : null,
    other: element === 'other' ? cost : null,
    equipment: element === 'equipment' ? cost : null,
  };
}
