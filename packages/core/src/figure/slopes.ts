import { type Decimal, ONE, ZERO } from '../number/index.js';
import type { Figure } from './figure.js';
import { partSlopes } from './operation-table.js';

/** How much a figure moves when one of its inputs rises by one of its units. */
export interface Slope {
  readonly input: Figure;
  readonly slope: Decimal;
}

/**
 * The derivative of a figure by each field that is among its inputs, by the chain rule over its working (`operation-table.ts` says how each
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
  return byField(
    order
      .filter((each) => each.operation === 'input')
      .map((each) => ({ input: each, slope: weight.get(each) ?? ZERO })),
  );
}

/** A field that was read in several places counts once, with all its ways to the figure together. */
function byField(found: readonly Slope[]): Slope[] {
  const fields = new Map<string, Slope>();
  for (const { input, slope } of found) {
    const key = `${input.place?.id ?? ''}.${input.place?.field ?? ''}`;
    const known = fields.get(key);
    fields.set(key, known === undefined ? { input, slope } : { input: known.input, slope: known.slope.plus(slope) });
  }
  return [...fields.values()];
}
