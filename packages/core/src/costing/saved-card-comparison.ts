import type { RowOf } from '@nuvar/book';
import { missing } from '../figure/index.js';
import { NUMBER, type Unit, unit } from '../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../sheet/index.js';
import { type CardComparison, comparedCards } from './compared-cards.js';
import { costingGap } from './gaps.js';
import { itemsInside, type UnitItem, unitItems } from './unit-items.js';

/**
 * A saved cost card against the card of today, line by line. The id is that of the card, or "card@component" for what went
 * into one unit of a component, under the name that the line of the component has.
 */
export const frozenComparison: Calculation<CardComparison> = {
  name: 'frozenCard',
  meanings: {
    before: 'What one unit cost when the card was saved.',
    now: 'What one unit costs now.',
    quantityEffects: 'The part of the difference that comes from quantities.',
    priceEffects: 'The part of the difference that comes from prices and rates.',
    difference: 'How much more, or less, one unit costs now.',
  },
  work(sheet, id) {
    const [cardId = '', within = ''] = id.split('@');
    const card = sheet.row('frozenCard', cardId);
    const productId = within === '' ? (card?.productId ?? '') : componentOf(within);
    const product = sheet.row('product', productId);
    const output = unit(product?.outputUnit ?? 'each');
    const then = savedLines(sheet, cardId, within);
    return comparedCards(
      { before: 'Full cost then', now: 'Full cost now', subject: product?.name ?? 'this product' },
      money(sheet).per(output),
      then.map((row) => frozenItem(sheet, row, output)),
      card === undefined ? [] : within === '' ? unitItems(sheet, productId) : itemsInside(sheet, productId),
    );
  },
};

/** The lines of a saved card: those of the product itself, or those inside a component. */
export const savedLines = (sheet: Sheet, cardId: string, within: string): RowOf<'frozenLine'>[] =>
  sheet.rowsOf('frozenLine', 'frozenCardId', cardId).filter((line) => line.within === within);

/** The product that a line of a component is of. */
export const componentOf = (source: string): string => (source.startsWith('product.') ? source.slice(8) : '');

function frozenItem(sheet: Sheet, row: RowOf<'frozenLine'>, output: Unit): UnitItem {
  const { source, element, label } = row;
  const counted = row.unit === '' ? NUMBER : unit(row.unit);
  const name = (what: string) => ({ name: `${what} then`, subject: label });
  const quantity = sheet.input('frozenLine', row, 'quantity', {
    ...name('Quantity'),
    unit: row.unit === '' ? counted : counted.per(output),
  });
  const priceUnit = row.unit === '' ? money(sheet).per(output) : money(sheet).per(counted);
  if (row.currency === bookCurrency(sheet)) {
    const price = sheet.input('frozenLine', row, 'price', { ...name('Price'), unit: priceUnit });
    return { source, element, label, quantity, price };
  }
  const reason = costingGap('frozen-in-other-currency', null, { subject: label, currency: row.currency });
  return { source, element, label, quantity, price: missing({ ...name('Price'), unit: priceUnit }, reason) };
}
