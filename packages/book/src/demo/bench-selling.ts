import type { BookFile } from '../file/index.js';
import { bookBuilder } from './demo-book.js';

/** How large the book is by which selling is measured. */
export const BENCH_SELLING = { products: 2_000, channels: 12 } as const;

/** A book for measuring the price board: products that cost a typed amount, each with a target in every channel, under fees with limits and bands. */
export function benchSelling(size = BENCH_SELLING): BookFile {
  const book = bookBuilder();
  book.add('settings', { name: 'Price board', openDaysPerMonth: '20', salesTaxPercent: '20' });
  const channels = Array.from({ length: size.channels }, (_channel, index) => {
    const channelId = book.add('channel', {
      name: `Channel ${index + 1}`,
      unitsPerOrder: '1.5',
      postageCharged: index % 3 === 0 ? '4.80' : null,
      returnsPercent: String(index % 4),
      returnHandling: '1.50',
      resaleablePercent: '60',
    });
    const commission = book.add('feeRule', { channelId, name: 'Commission', percent: '10', minimum: '0.50' });
    if (index % 2 === 0)
      for (const [upTo, percent] of [
        ['20', '12'],
        [null, '9'],
      ] as const)
        book.add('feeBand', { ruleId: commission, upTo, percent });
    book.add('feeRule', { channelId, position: 1, name: 'Payment', percent: '1.9' });
    book.add('feeRule', { channelId, position: 2, name: 'Order fee', takenOf: 'order', amount: '0.25' });
    return channelId;
  });
  for (let index = 0; index < size.products; index += 1) {
    const productId = book.add('product', { name: `Product ${index + 1}`, costing: 'typed totals' });
    book.add('typedCost', { productId, element: 'materials', amount: `${3 + (index % 40)}.${10 + (index % 90)}` });
    channels.forEach((channelId, place) =>
      book.add('pricePoint', {
        productId,
        channelId,
        price: `${9 + ((index * 7 + place * 3) % 90)}.95`,
        basis: 'margin',
        target: '22',
      }),
    );
  }
  return book.file();
}
