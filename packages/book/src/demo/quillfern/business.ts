import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Where the studio sells, and at what prices. */
export function addPrices(book: BookBuilder, products: Ids): string {
  const channelId = book.add('channel', {
    name: 'Own web shop',
    unitsPerOrder: '1.6',
  });
  book.add('feeRule', { channelId, position: 0, name: 'Card payment', takenOf: 'price paid', percent: '2.9' });
  book.add('feeRule', { channelId, position: 1, name: 'Card payment, fixed', takenOf: 'order', amount: '0.30' });
  const price = (product: string, fields: Record<string, unknown>) =>
    book.add('pricePoint', { productId: at(products, product), channelId, taxInside: true, ...fields });
  price('Everyday mug', { price: '19.50' });
  price('Breakfast bowl', { basis: 'margin', target: '18', price: '17.95', ending: '.95' });
  price('Teapot with cane handle', {
    basis: 'markup',
    target: '25',
    price: '74.00',
    ending: '.00',
    endingDirection: 'nearest',
  });
  price('Serving platter', { price: '52.00' });
  price('Gift set, two mugs', { price: '32.00' });
  price('Cork trivet', { basis: 'profit', target: '1.50', price: '6.90', ending: '.90' });
  price('Soap dish', { price: '12.50' });
  price('Glazing workshop, two hours', { price: '36.00', taxPercent: '10' });
  const candidates = (product: string, prices: readonly string[]) =>
    prices.forEach((each, position) =>
      book.add('candidatePrice', { productId: at(products, product), channelId, position, price: each }),
    );
  candidates('Everyday mug', ['17.50', '19.50', '21.50', '24.00']);
  candidates('Glazing workshop, two hours', ['32.00', '36.00', '42.00']);
  return channelId;
}
