import type { RowOf } from '@nuvar/book';
import { missing } from '../figure/index.js';
import { NUMBER, type Unit, unit } from '../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../sheet/index.js';
import { type CardComparison, comparedCards } from './compared-cards.js';
import { costingGap } from './gaps.js';
import { type UnitItem, unitItems } from './unit-items.js';

/** A frozen cost card against the card of today, line by line. */
export const frozenComparison: Calculation<CardComparison> = {
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
    const product = card && sheet.row('product', card.productId);
    const output = unit(product?.outputUnit ?? 'each');
    const then = card === undefined ? [] : sheet.rowsOf('frozenLine', 'frozenCardId', cardId);
    return comparedCards(
      { before: 'Full cost then', now: 'Full cost now', subject: product?.name ?? 'this product' },
      money(sheet).per(output),
      then.map((row) => frozenItem(sheet, row, output)),
      card === undefined ? [] : unitItems(sheet, card.productId),
    );
  },
};

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
