import type { BookBuilder } from '../demo-book.js';

/** A pressing of tiles that comes out in three qualities: what each of them bears of it. */
export function addJointBatch(book: BookBuilder): void {
  const processId = book.add('jointProcess', { name: 'Tile pressing', jointCost: '264' });
  [
    { name: 'Tiles, first quality', quantity: '160', splitOffPrice: '2.10', furtherCost: '0.55', finalPrice: '3.20' },
    { name: 'Tiles, seconds', quantity: '60', splitOffPrice: '0.95', furtherCost: '0.50', finalPrice: '1.35' },
    { name: 'Grog for sale', quantity: '18', unit: 'kg', splitOffPrice: '0.80', isByProduct: true },
  ].forEach((output, position) => book.add('jointOutput', { unit: 'each', ...output, processId, position }));
}
