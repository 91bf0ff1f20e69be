import { addMonths, monthOf } from '../calendar/index.js';
import type { Sheet } from '../sheet/index.js';

/** The first days of the twelve months that are looked at: from the month of the evaluation on. */
export function planningMonths({ asOf }: Pick<Sheet, 'asOf'>): string[] {
  const first = monthOf(asOf);
  return Array.from({ length: 12 }, (_none, index) => addMonths(first, index));
}
