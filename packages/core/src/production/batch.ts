import { constant, type Figure, percentOf } from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { BATCH, type Calculation } from '../sheet/index.js';

/** One batch of a product, with what every line of it has to know of the product. */
export interface Batch {
  readonly started: Figure;
  readonly good: Figure;
  readonly productName: string;
  readonly outputUnit: string;
}

/**
 * One batch of a product: the units started, and the good ones among them = started x yield %, not rounded.
 */
export const batch: Calculation<Batch> = {
  name: 'batch',
  meanings: {
    started: 'How many units are started in one batch.',
    good: 'How many good units come out of one batch.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    if (row === undefined) {
      const none = constant('Units started per batch', '1', unit('each').per(BATCH), 'product missing');
      return { started: none, good: none, productName: 'a product', outputUnit: 'each' };
    }
    const started = sheet.input('product', row, 'batchSize', {
      name: 'Units started per batch',
      subject: row.name,
      unit: unit(row.outputUnit).per(BATCH),
    });
    const yielded = sheet.input('product', row, 'yieldPercent', { name: 'Yield', subject: row.name, unit: PERCENT });
    const good = percentOf({ name: 'Good units per batch', subject: row.name }, yielded, started);
    return { started, good, productName: row.name, outputUnit: row.outputUnit };
  },
};
