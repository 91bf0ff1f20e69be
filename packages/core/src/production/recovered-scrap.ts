import type { RowOf } from '@nuvar/book';
import { difference, type Figure, multiplied, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, money } from '../sheet/index.js';
import { productionGap } from './gaps.js';
import { type CostRow, itemOn } from './taking.js';

/** What is recovered from a batch is worth quantity x worth per unit: a negative cost of materials. */
export const recoveredScrap: CostRow = {
  kind: 'recoveredScrap',
  takings: (sheet, productId) =>
    sheet.list(
      sheet.rowsOf('recoveredScrap', 'productId', productId),
      null,
      () => null,
      (row) => ({
        kind: 'recoveredScrap',
        id: row.id,
        of: null,
        basis: 'batch',
        quantity: sheet.input('recoveredScrap', row, 'quantity', {
          name: 'Recovered per batch',
          subject: row.name,
          unit: unit(row.unit).per(BATCH),
          whenEmpty: (place) => productionGap('no-scrap', place, { subject: row.name }),
        }),
        hours: null,
      }),
    ),
  priced: (sheet, { id }) => sheet.row('recoveredScrap', id) ?? null,
  cost(sheet, taking, priced) {
    const row = priced as RowOf<'recoveredScrap'>;
    const subject = row.name;
    const price: Figure = sheet.input('recoveredScrap', row, 'worth', {
      name: 'Value per unit',
      subject,
      unit: money(sheet).per(unit(row.unit)),
      whenEmpty: (place) => productionGap('no-scrap', place, { subject }),
    });
    const worth = multiplied({ name: 'Recovered scrap', subject }, taking.quantity, price);
    const nothing = sum({ name: 'Nothing', subject }, worth.unit, []);
    const cost = difference({ name: 'Less recovered scrap', subject }, nothing, worth);
    return itemOn('materials', taking, price, cost);
  },
};
