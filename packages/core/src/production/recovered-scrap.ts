import { type Figure, gap, ofMissingRow, product } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, money } from '../sheet/index.js';

/** What is won back from a batch is worth: quantity per batch x worth per unit. It lowers the cost of materials. */
export const recoveredScrap: Calculation<{ perBatch: Figure }> = {
  name: 'recoveredScrap',
  meanings: { perBatch: 'What is won back from one batch is worth.' },
  work(sheet, id) {
    const row = sheet.row('recoveredScrap', id);
    const subject = row?.name ?? '';
    const leaf = { name: 'Recovered scrap', subject, unit: money(sheet).per(BATCH) };
    if (row === undefined) return { perBatch: ofMissingRow(leaf, 'a product') };
    const ask = (field: 'quantity' | 'worth') => () =>
      gap('no-scrap', { kind: 'recoveredScrap', id, field }, { subject });
    const quantity = sheet.input('recoveredScrap', row, 'quantity', {
      name: 'Won back per batch',
      subject,
      unit: unit(row.unit).per(BATCH),
      whenEmpty: ask('quantity'),
    });
    const worth = sheet.input('recoveredScrap', row, 'worth', {
      name: 'Worth per unit',
      subject,
      unit: money(sheet).per(unit(row.unit)),
      whenEmpty: ask('worth'),
    });
    return { perBatch: product(leaf, quantity, worth) };
  },
};
