import type { RowOf } from '@nuvar/book';

/** True for a fee that is taken on a day; both its first and its last day count. */
export const isInForce = ({ startsOn, endsOn }: RowOf<'feeRule'>, asOf: string): boolean =>
  (startsOn === null || startsOn <= asOf) && (endsOn === null || asOf <= endsOn);
