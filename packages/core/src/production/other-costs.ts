import type { RowOf } from '@nuvar/book';
import { constant, type Figure } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { BATCH, money } from '../sheet/index.js';
import { productionGap } from './gaps.js';
import { type CostRow, itemOn } from './taking.js';

const ONCE = constant('Once a batch', '1', NUMBER, 'definition');

/** Direct expenses of a product: an amount for each batch, or for each good unit x good units. */
export const otherCosts: CostRow = {
  kind: 'otherCost',
  takings(sheet, productId, { good }) {
    return sheet.list(
      sheet.rowsOf('otherCost', 'productId', productId),
      good,
      () => null,
      (row) => ({
        kind: 'otherCost',
        id: row.id,
        of: null,
        basis: row.basis === 'batch' ? 'batch' : 'good unit',
        quantity: row.basis === 'batch' ? ONCE : good,
        hours: null,
      }),
    );
  },
  priced: (sheet, { id }) => sheet.row('otherCost', id) ?? null,
  cost(sheet, taking, priced, { outputUnit, productName }) {
    const row = priced as RowOf<'otherCost'>;
    const price: Figure = sheet.input('otherCost', row, 'amount', {
      name: 'Amount',
      subject: row.name,
      unit: money(sheet).per(taking.basis === 'batch' ? BATCH : unit(outputUnit)),
      whenEmpty: (place) => productionGap('no-cost-amount', place, { cost: row.name, subject: productName }),
    });
    const cost =
      taking.basis === 'batch'
        ? price
        : sheet.multiplied({ name: 'Other cost', subject: row.name }, price, taking.quantity);
    return itemOn('other', taking, price, cost);
  },
};
