import { type Figure, gap, ofMissingRow, product } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, money } from '../sheet/index.js';
import { batch } from './batch.js';

/** A direct expense for one batch: as stated, or per good unit x good units. */
export const otherCost: Calculation<{ perBatch: Figure }> = {
  name: 'otherCost',
  meanings: { perBatch: 'What this comes to for one batch.' },
  work(sheet, id) {
    const row = sheet.row('otherCost', id);
    const leaf = { name: 'Other cost', subject: row?.name ?? '', unit: money(sheet).per(BATCH) };
    if (row === undefined) return { perBatch: ofMissingRow(leaf, 'a product') };
    const owner = sheet.row('product', row.productId);
    const basis = row.basis === 'batch' ? BATCH : unit(owner?.outputUnit ?? 'each');
    const amount = sheet.input('otherCost', row, 'amount', {
      name: 'Amount',
      subject: row.name,
      unit: money(sheet).per(basis),
      whenEmpty: (place) => gap('no-cost-amount', place, { cost: row.name, subject: owner?.name ?? 'a product' }),
    });
    if (row.basis === 'batch') return { perBatch: amount };
    return {
      perBatch: product({ name: 'Other cost', subject: row.name }, amount, sheet.read(batch, row.productId).good),
    };
  },
};
