import type { RowOf } from '@nuvar/book';
import { compared, decimal } from '../number/index.js';

/** The smallest limit first; the step without one last. */
export function byLimit(one: RowOf<'costStep'>, other: RowOf<'costStep'>): number {
  if (one.upTo === null || other.upTo === null) return Number(one.upTo === null) - Number(other.upTo === null);
  return compared(decimal(one.upTo), decimal(other.upTo));
}
