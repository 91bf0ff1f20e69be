import type { Session } from './session.js';
import { settled, type Solved } from './solved.js';

/** A product of which as much can be made, in another mix that is as good. */
export interface OtherAsGood {
  readonly at: number;
  readonly least: number;
  readonly most: number;
}

const MOST_LOOKED_AT = 40;

/**
 * Products that another mix makes more or less of without losing anything: the goal is held, and each is made as much and as little
 * of as it allows. Only those are looked at that an answer could exchange: what costs least to move.
 */
export function asGoodOf(session: Session, best: Solved): OtherAsGood[] {
  const { columns } = session.program;
  const quantities = columns
    .flatMap(({ of }, column) => (of === 'quantity' ? [column] : []))
    .sort((one, other) => Math.abs(best.columnDuals[one] ?? 0) - Math.abs(best.columnDuals[other] ?? 0))
    .slice(0, MOST_LOOKED_AT);
  const ranges = session.rangesAt(best.goal, quantities);
  return quantities
    .flatMap((column, index) => {
      const [least, most] = ranges[index] as readonly [number, number];
      const isFree = most - least > 1e-4 * Math.max(1, Math.abs(most));
      return isFree ? [{ at: columns[column]?.at ?? 0, least: settled(least), most: settled(most) }] : [];
    })
    .sort((one, other) => one.at - other.at);
}
