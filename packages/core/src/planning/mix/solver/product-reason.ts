import type { ModelProduct } from '../mix-model.js';
import { keepsUntil, type PointAt } from './curve.js';
import { type OneMore, ownLimitWorth } from './limit-worth.js';
import { isNothing, settledTo } from './noise.js';
import type { Session } from './session.js';
import type { SharpRanges } from './sharp-ranges.js';
import type { Solved } from './solved.js';

/** Why a product is made as it is. */
export interface ProductReason {
  /** The place of the product in the model. */
  readonly at: number;
  readonly quantity: number;
  /** What a unit would have to bring above what it does to be made at all; of a cost, below it. Null where it is made, or nothing would do. */
  readonly lacking: number | null;
  /** What its unit brings at least and at most for the answer to stay; null where it holds without end. */
  readonly from: number | null;
  readonly until: number | null;
  /** What one more and one less of its own maximum are worth; null where that does not bind. */
  readonly maximum: OneMore | null;
  /** The same of its own minimum. */
  readonly minimum: OneMore | null;
}

const REACH = 1000;

/** Between what a unit of a product may bring for the best mix to stay, and what holds it where it is. */
export function productReason(session: Session, best: Solved, sharp: SharpRanges | null, at: number): ProductReason {
  const product = session.program.model.products[at] as ModelProduct;
  const column = session.program.columns.findIndex((each) => each.of === 'quantity' && each.at === at);
  const { most, least } = product;
  const quantity = (best.values[column] ?? 0) * stepOf(session, column);
  const [from, until] = rangeOfGain(session, best, sharp, product, column);
  const turning = session.program.model.isLeast ? from : until;
  return {
    at,
    from,
    until,
    quantity: best.quantities[at] ?? 0,
    lacking:
      !isNothing(quantity) || turning === null ? null : settledTo(Math.abs(turning - product.gain), product.gain),
    maximum: most !== null && isAt(quantity, most) ? ownLimitWorth(session, best, sharp, { of: 'most', at }) : null,
    minimum: least > 0 && isAt(quantity, least) ? ownLimitWorth(session, best, sharp, { of: 'least', at }) : null,
  };
}

const stepOf = ({ program }: Session, column: number): number => program.columns[column]?.step ?? 1;

/** From and to what a unit may bring. */
function rangeOfGain(
  session: Session,
  best: Solved,
  sharp: SharpRanges | null,
  { gain }: ModelProduct,
  column: number,
): [from: number | null, until: number | null] {
  const { model, columns, worth } = session.program;
  const { products, isLeast } = model;
  const { lower = 0, upper = 0, step = 1 } = columns[column] ?? {};
  // So many and no others: it does not matter what they bring.
  if (lower === upper) return [null, null];
  if (sharp !== null) {
    const ends = sharp
      .ofCost(column)
      .map((end) => (Number.isFinite(end) ? settledTo((end * worth) / step, gain) : null));
    return [ends[0] ?? null, ends[1] ?? null];
  }
  // The goal is convex in what a unit brings, and concave in what it costs: turned so that it is concave.
  const turn = isLeast ? 1 : -1;
  const largest = products.reduce((so, product) => Math.max(so, Math.abs(product.gain)), 0) || 1;
  const pointOf = (at: number, { goal, values }: Solved) => ({
    at,
    value: (turn * goal) / largest,
    slope: turn * (values[column] ?? 0) * stepOf(session, column),
  });
  const pointAt: PointAt = (at) => {
    const solved = session.withGain(column, at * largest);
    return solved.status === 'best' ? pointOf(at, solved) : null;
  };
  const now = pointOf(gain / largest, best);
  return [-REACH, REACH].map((by) => {
    const far = pointAt(now.at + by);
    const end = far === null ? null : keepsUntil(pointAt, now, far);
    return end === null ? null : settledTo(end * largest, largest);
  }) as [from: number | null, until: number | null];
}

/** True where a quantity stands at a limit of its own. */
const isAt = (quantity: number, limit: number) => Math.abs(quantity - limit) <= 1e-7 * Math.abs(limit);
