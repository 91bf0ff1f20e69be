import type { RowOf } from '@nuvar/book';
import { bookCurrency, money } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { constant, difference, gap, missing, product, sum, type Figure } from '../figure/index.js';
import { NUMBER, unit, type Unit } from '../quantity/index.js';
import { costItems, type CostItem } from './cost-items.js';

/** How one line of a card moved since it was frozen. Null where it was not on the card then, or is no longer. */
export interface ComparedLine {
  readonly source: string;
  readonly element: string;
  readonly label: string;
  readonly before: { readonly quantity: Figure; readonly price: Figure } | null;
  readonly now: { readonly quantity: Figure; readonly price: Figure } | null;
  readonly quantityEffect: Figure;
  readonly priceEffect: Figure;
}

export interface FrozenComparison {
  readonly lines: readonly ComparedLine[];
  readonly before: Figure;
  readonly now: Figure;
  readonly quantityEffects: Figure;
  readonly priceEffects: Figure;
  readonly difference: Figure;
}

/**
 * A frozen cost card against the card of today, line by line: quantity effect = (quantity now - then) x price then, price
 * effect = quantity now x (price now - then); for labour, machines and overhead the price is a rate. A line that is new is
 * all quantity, at its price of now; one that is gone is all quantity, at its price of then. The effects sum exactly to the
 * difference of the two full costs. A line whose unit is another now counts as gone and new.
 */
export const frozenComparison: Calculation<FrozenComparison> = {
  name: 'frozenCard',
  meanings: {
    before: 'What one unit cost when the card was frozen.',
    now: 'What one unit costs now.',
    quantityEffects: 'What it makes of the difference that more or less of things goes in.',
    priceEffects: 'What it makes of the difference that prices and rates are others.',
    difference: 'What one unit costs more now, or less.',
  },
  work(sheet, cardId) {
    const card = sheet.row('frozenCard', cardId);
    const owner = card && sheet.row('product', card.productId);
    const subject = owner?.name ?? 'this product';
    const perUnit = money(sheet).per(unit(owner?.outputUnit ?? 'each'));
    const then = card === undefined ? [] : sheet.rowsOf('frozenLine', 'frozenCardId', cardId);
    const now = card === undefined ? [] : costItems(sheet, card.productId);
    const lines = compared(sheet, then, now, unit(owner?.outputUnit ?? 'each'));
    const total = (name: string, parts: readonly Figure[]) => sum({ name, subject }, perUnit, parts);
    const cost = (line: ComparedLine, when: 'before' | 'now') => {
      const side = line[when];
      return side === null ? [] : [product({ name: line.label, subject }, side.quantity, side.price)];
    };
    const before = total(
      'Full cost then',
      lines.flatMap((line) => cost(line, 'before')),
    );
    const today = total(
      'Full cost now',
      lines.flatMap((line) => cost(line, 'now')),
    );
    return {
      lines,
      before,
      now: today,
      quantityEffects: total(
        'Quantity effects',
        lines.map((line) => line.quantityEffect),
      ),
      priceEffects: total(
        'Price effects',
        lines.map((line) => line.priceEffect),
      ),
      difference: difference({ name: 'Difference', subject }, today, before),
    };
  },
};

function compared(
  sheet: Sheet,
  then: readonly RowOf<'frozenLine'>[],
  now: readonly CostItem[],
  output: Unit,
): ComparedLine[] {
  const left = new Map(now.map((item) => [item.source, item]));
  const lines = then.map((row): ComparedLine => {
    const before = frozenFigures(sheet, row, output);
    const item = left.get(row.source);
    const isSame =
      item !== undefined && item.quantity.unit === before.quantity.unit && item.price.unit === before.price.unit;
    if (!isSame) return lineOf(row, before, null);
    left.delete(row.source);
    return lineOf(item, before, item);
  });
  return [...lines, ...[...left.values()].map((item) => lineOf(item, null, item))];
}

function frozenFigures(sheet: Sheet, row: RowOf<'frozenLine'>, output: Unit): { quantity: Figure; price: Figure } {
  const counted = row.unit === '' ? NUMBER : unit(row.unit);
  const name = (what: string) => ({ name: `${what} then`, subject: row.label });
  const quantity = sheet.input('frozenLine', row, 'quantity', {
    ...name('Quantity'),
    unit: row.unit === '' ? counted : counted.per(output),
  });
  const priceUnit = row.unit === '' ? money(sheet).per(output) : money(sheet).per(counted);
  if (row.currency === bookCurrency(sheet))
    return { quantity, price: sheet.input('frozenLine', row, 'price', { ...name('Price'), unit: priceUnit }) };
  const reason = gap('frozen-in-other-currency', null, { subject: row.label, currency: row.currency });
  return { quantity, price: missing({ ...name('Price'), unit: priceUnit }, reason) };
}

type Side = { readonly quantity: Figure; readonly price: Figure };

function lineOf(
  of: Pick<CostItem, 'source' | 'element' | 'label'>,
  before: Side | null,
  now: Side | null,
): ComparedLine {
  const { source, element, label } = of;
  const named = (name: string) => ({ name, subject: label });
  const either = (before ?? now) as Side;
  const none = (side: Side, what: 'quantity' | 'price') => constant('None', '0', side[what].unit, 'definition');
  const moved = difference(
    named('Quantity more or less'),
    now?.quantity ?? none(either, 'quantity'),
    before?.quantity ?? none(either, 'quantity'),
  );
  const quantityEffect = product(named('Quantity effect'), moved, either.price);
  const dearer =
    before === null || now === null
      ? none(either, 'price')
      : difference(named('Price more or less'), now.price, before.price);
  const priceEffect = product(named('Price effect'), now?.quantity ?? none(either, 'quantity'), dearer);
  return {
    source,
    element,
    label,
    before: before && { quantity: before.quantity, price: before.price },
    now: now && { quantity: now.quantity, price: now.price },
    quantityEffect,
    priceEffect,
  };
}
