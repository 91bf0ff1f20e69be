import { compared, type Decimal, HUNDRED, ONE, ZERO } from '../number/index.js';
import type { Figure } from './figure.js';

/** How much a figure moves when one of its inputs rises by one of its units. */
export interface Slope {
  readonly input: Figure;
  readonly slope: Decimal;
}

/**
 * The derivative of a figure by each of its inputs, by the chain rule over its working. Rounding counts as 1 and a
 * choice by the branch that was chosen. Empty where the figure is not whole.
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

function partSlopes(figure: Figure): Decimal[] {
  const [first, second] = figure.parts.map((part) => part.amount ?? ZERO);
  const [one, other] = [first ?? ZERO, second ?? ZERO];
  switch (figure.operation) {
    case 'sum':
    case 'round':
    case 'choice':
      return figure.parts.map(() => ONE);
    case 'largest': {
      const chosen = figure.parts.findIndex(
        (part) => part.amount !== null && compared(part.amount, figure.amount ?? ZERO) === 0,
      );
      return figure.parts.map((_part, index) => (index === chosen ? ONE : ZERO));
    }
    case 'difference':
      return [ONE, ONE.neg()];
    case 'product':
      return [other, one];
    case 'quotient':
      return [ONE.div(other), one.neg().div(other.mul(other))];
    case 'percent of':
      return [other.div(HUNDRED), one.div(HUNDRED)];
    case 'whole of':
    case 'share of':
      return [HUNDRED.div(other), one.mul(HUNDRED).neg().div(other.mul(other))];
    default:
      return [];
  }
}
