import { constant, difference, type Figure, multiplied, sum } from '../figure/index.js';
import { NUMBER, type Unit } from '../quantity/index.js';
import type { UnitItem } from './unit-items.js';

type Side = Pick<UnitItem, 'quantity' | 'price'>;

/** One line of two cards beside each other. A side is null where the line does not stand on that card. */
export interface ComparedLine extends Pick<UnitItem, 'source' | 'element' | 'label'> {
  readonly before: Side | null;
  readonly now: Side | null;
  readonly quantityEffect: Figure;
  readonly priceEffect: Figure;
  /** Both together. */
  readonly effect: Figure;
}

/** What the quantities of a line are counted in: kg for so many kg per piece. Empty for what stands on a card once. */
export function countedIn({ now, before }: Pick<ComparedLine, 'now' | 'before'>, output: Unit): string {
  const counted = (now ?? before)?.quantity.unit ?? NUMBER;
  return counted === NUMBER ? '' : counted.times(output).text;
}

/** Two cards beside each other, and what makes the difference of their full costs. */
export interface CardComparison {
  readonly lines: readonly ComparedLine[];
  readonly before: Figure;
  readonly now: Figure;
  readonly quantityEffects: Figure;
  readonly priceEffects: Figure;
  readonly difference: Figure;
}

/** What the two full costs are called, and of what product the comparison is. */
export interface ComparisonNames {
  readonly before: string;
  readonly now: string;
  readonly subject: string;
}

/**
 * Two cards of one unit each, line by line: quantity effect = (quantity now - before) x price before, price effect =
 * quantity now x (price now - before); for labour, machines and overhead the price is a rate. A line that is new is all
 * quantity, at its price of now; one that is gone is all quantity, at its price of before. The effects sum exactly to the
 * difference of the two full costs. A line whose unit is another counts as gone and new.
 */
export function comparedCards(
  names: ComparisonNames,
  perUnit: Unit,
  before: readonly UnitItem[],
  now: readonly UnitItem[],
): CardComparison {
  const lines = comparedLines(before, now);
  const total = (name: string, parts: readonly Figure[]) => sum({ name, subject: names.subject }, perUnit, parts);
  const costs = (when: 'before' | 'now') =>
    lines.flatMap((line) => {
      const side = line[when];
      return side === null ? [] : [multiplied({ name: line.label, subject: names.subject }, side.quantity, side.price)];
    });
  const [costBefore, costNow] = [total(names.before, costs('before')), total(names.now, costs('now'))];
  return {
    lines,
    before: costBefore,
    now: costNow,
    quantityEffects: total(
      'Quantity effects',
      lines.map((line) => line.quantityEffect),
    ),
    priceEffects: total(
      'Price effects',
      lines.map((line) => line.priceEffect),
    ),
    difference: difference({ name: 'Difference', subject: names.subject }, costNow, costBefore),
  };
}

function comparedLines(before: readonly UnitItem[], now: readonly UnitItem[]): ComparedLine[] {
  const left = new Map(now.map((item) => [item.source, item]));
  const lines = before.map((item): ComparedLine => {
    const same = left.get(item.source);
    const isSame =
      same !== undefined && same.quantity.unit === item.quantity.unit && same.price.unit === item.price.unit;
    if (!isSame) return comparedLine(item, item, null);
    left.delete(item.source);
    return comparedLine(same, item, same);
  });
  return [...lines, ...[...left.values()].map((item) => comparedLine(item, null, item))];
}

function comparedLine(of: UnitItem, before: Side | null, now: Side | null): ComparedLine {
  const { source, element, label } = of;
  const named = (name: string) => ({ name, subject: label });
  const none = (what: 'quantity' | 'price') => constant('None', '0', of[what].unit, 'definition');
  const moved = difference(
    named('Quantity more or less'),
    now?.quantity ?? none('quantity'),
    before?.quantity ?? none('quantity'),
  );
  const dearer =
    before === null || now === null ? none('price') : difference(named('Price more or less'), now.price, before.price);
  const quantityEffect = multiplied(named('Quantity effect'), moved, (before ?? of).price);
  const priceEffect = multiplied(named('Price effect'), now?.quantity ?? none('quantity'), dearer);
  return {
    source,
    element,
    label,
    before: before && { quantity: before.quantity, price: before.price },
    now: now && { quantity: now.quantity, price: now.price },
    quantityEffect,
    priceEffect,
    effect: sum(named('Makes of the difference'), quantityEffect.unit, [quantityEffect, priceEffect]),
  };
}
