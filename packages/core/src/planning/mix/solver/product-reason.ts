import type { ModelProduct } from '../mix-model.js';
import { keepsUntil, type PointAt } from './curve.js';
import { asGain } from './limit-worth.js';
import { isNothing, settledOr } from './noise.js';
import type { Session } from './session.js';
import { settled, type Solved } from './solved.js';

/** Why a product is made as it is. */
export interface ProductReason {
  /** The place of the product in the model. */
  readonly at: number;
  readonly quantity: number;
  readonly isAtMost: boolean;
  /** What a unit would have to bring above what it does to be made at all; of a cost, below it. Null where it is made, or nothing would do. */
  readonly lacking: number | null;
  /** What its unit brings at least and at most for the answer to stay; null where it holds without end. */
  readonly from: number | null;
  readonly until: number | null;
  /** How much more of the goal one more of its own maximum brings; zero where that does not bind. */
  readonly maximumWorth: number;
  /** How much of the goal one of its own minimum costs; zero where that does not bind. */
  readonly minimumCost: number;
}

const REACH = 1000;

/** Between what a unit of a product may bring for the best mix to stay, and what holds it where it is. */
export function productReason(session: Session, best: Solved, product: ModelProduct, at: number): ProductReason {
  const column = session.program.columns.findIndex((each) => each.of === 'quantity' && each.at === at);
  const quantity = best.values[column] ?? 0;
  const [from, until] = rangeOfGain(session, best, product, column);
  const turning = session.program.model.isLeast ? from : until;
  return {
    at,
    from,
    until,
    quantity: best.quantities[at] ?? 0,
    lacking: !isNothing(quantity) || turning === null ? null : settled(Math.abs(turning - product.gain)),
    ...heldBy(product, quantity, asGain(session, best.columnDuals[column] ?? 0)),
  };
}

/** From and to what a unit may bring. */
function rangeOfGain(session: Session, best: Solved, { gain }: ModelProduct, column: number) {
  const { products, isLeast } = session.program.model;
  // The goal is convex in what a unit brings, and concave in what it costs: turned so that it is concave.
  const turn = isLeast ? 1 : -1;
  const pointAt: PointAt = (at) => {
    const { status, goal, values } = session.withCost(column, at);
    return status === 'best' ? { at, value: turn * goal, slope: turn * (values[column] ?? 0) } : null;
  };
  const now = { at: gain, value: turn * best.goal, slope: turn * (best.values[column] ?? 0) };
  const reach = REACH * Math.max(1, ...products.map((product) => Math.abs(product.gain)));
  return [-reach, reach].map((by) => {
    const far = pointAt(gain + by);
    return far === null ? null : settledOr(keepsUntil(pointAt, now, far));
  }) as [from: number | null, until: number | null];
}

/** Whether its own maximum or minimum holds a product, and what one more of that is worth. */
function heldBy({ most, least }: ModelProduct, quantity: number, dual: number) {
  const isAtMost = most !== null && isNothing(most - quantity, most);
  const isAtLeast = least > 0 && isNothing(quantity - least, least);
  return {
    isAtMost,
    maximumWorth: isAtMost ? settled(Math.max(0, dual)) : 0,
    minimumCost: isAtLeast ? settled(Math.max(0, -dual)) : 0,
  };
}
