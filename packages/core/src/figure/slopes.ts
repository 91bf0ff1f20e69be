import { type Decimal, ONE, ZERO } from '../number/index.js';
import type { Figure } from './figure.js';
import { partSlopes } from './operation-table.js';

/** How much a figure moves when one of its inputs rises by one of its units. */
export interface Slope {
  readonly input: Figure;
  readonly slope: Decimal;
}

/**
 * The derivative of a figure by each of its inputs, by the chain rule over its working (`operation-table.ts` says how each
 * operation moves). Empty where the figure is not whole.
 */
export function slopes(figure: Figure): Slope[] {
  if (figure.amount === null || figure.gaps.length > 0) return [];
  const order: Figure[] = [];
  const visited = new Set<Figure>();
  const visit = (each: Figure) => {
    if (visited.has(each)) return;
    visited.add(each);
    each.parts.forEach(visit);
    order.push(each);
  };
  visit(figure);
  const weight = new Map<Figure, Decimal>([[figure, ONE]]);
  for (const each of order.reverse()) {
    const own = weight.get(each) ?? ZERO;
    partSlopes(each).forEach((slope, index) => {
      const part = each.parts[index] as Figure;
      weight.set(part, (weight.get(part) ?? ZERO).plus(own.mul(slope)));
    });
  }
  return order
    .filter((each) => each.operation === 'input')
    .map((each) => ({ input: each, slope: weight.get(each) ?? ZERO }));
}
