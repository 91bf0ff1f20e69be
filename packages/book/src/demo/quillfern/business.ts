import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Product, channel, price, and what else is to be said of it. */
const PRICES: readonly (readonly [product: string, channel: string, price: string, more?: Record<string, unknown>])[] =
  [
    ['Everyday mug', 'Own web shop', '19.50'],
    ['Breakfast bowl', 'Own web shop', '17.95', { basis: 'margin', target: '18', ending: '.95', marketPrice: '17.50' }],
    [
      'Teapot with cane handle',
      'Own web shop',
      '79.00',
      { basis: 'markup', target: '25', ending: '.00', endingDirection: 'nearest' },
    ],
    ['Serving platter', 'Own web shop', '62.00'],
    ['Gift set, two mugs', 'Own web shop', '38.00'],
    ['Cork trivet', 'Own web shop', '9.90', { basis: 'profit', target: '1.00', ending: '.90' }],
    ['Soap dish', 'Own web shop', '12.50'],
    ['Glazing workshop, two hours', 'Studio shop', '36.00', { taxPercent: '10' }],
    ['Everyday mug', 'Studio shop', '19.50'],
    ['Breakfast bowl', 'Studio shop', '17.95'],
    ['Everyday mug', 'Weekend market', '18.00'],
    ['Breakfast bowl', 'Weekend market', '16.50', { basis: 'profit', target: '1', ending: '.50' }],
    ['Cork trivet', 'Weekend market', '8.50'],
    ['Everyday mug', 'Marketplace store', '21.50', { basis: 'margin', target: '15', ending: '.50' }],
    ['Gift set, two mugs', 'Marketplace store', '39.00'],
    ['Cork trivet', 'Marketplace store', '8.90'],
    ['Everyday mug', 'Homeware shops', '11.90', { taxInside: false }],
    ['Breakfast bowl', 'Homeware shops', '13.20', { taxInside: false, basis: 'markup', target: '10' }],
  ];

/** At what prices the studio sells, and which others it thinks about. */
export function addPrices(book: BookBuilder, products: Ids, channels: Ids): void {
  const points = Object.fromEntries(
    PRICES.map(([product, channel, price, more]) => [
      `${product}@${channel}`,
      book.add('pricePoint', {
        productId: at(products, product),
        channelId: at(channels, channel),
        taxInside: true,
        price,
        ...more,
      }),
    ]),
  );
  book.add('datedPrice', {
    pricePointId: at(points, 'Everyday mug@Own web shop'),
    startsOn: '2027-02-01',
    price: '20.50',
  });
  for (const [fromQuantity, price] of [
    ['48', '11.60'],
    ['96', '11.20'],
  ] as const)
    book.add('quantityBreak', { pricePointId: at(points, 'Everyday mug@Homeware shops'), fromQuantity, price });
  const candidates = (product: string, channel: string, prices: readonly string[]) =>
    prices.forEach((price, position) =>
      book.add('candidatePrice', {
        productId: at(products, product),
        channelId: at(channels, channel),
        position,
        price,
      }),
    );
  candidates('Everyday mug', 'Own web shop', ['17.50', '19.50', '21.50', '24.00']);
  candidates('Glazing workshop, two hours', 'Studio shop', ['32.00', '36.00', '42.00']);
}
