import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** What is planned to be sold in the average month by channel, and which of it goes by the season. */
const PLAN: readonly (readonly [product: string, units: Readonly<Record<string, string>>, isSeasonal?: boolean])[] = [
  [
    'Everyday mug',
    {
      'Own web shop': '120',
      'Studio shop': '30',
      'Weekend market': '40',
      'Marketplace store': '20',
      'Homeware shops': '30',
    },
  ],
  ['Breakfast bowl', { 'Own web shop': '66', 'Studio shop': '18', 'Weekend market': '24', 'Homeware shops': '12' }],
  ['Teapot with cane handle', { 'Own web shop': '24' }, true],
  ['Serving platter', { 'Own web shop': '18' }, true],
  ['Gift set, two mugs', { 'Own web shop': '24', 'Marketplace store': '6' }, true],
  ['Cork trivet', { 'Own web shop': '22', 'Weekend market': '12', 'Marketplace store': '6' }],
  ['Glazing workshop, two hours', { 'Studio shop': '48' }],
  ['Soap dish', { 'Own web shop': '20' }],
];

/** Adds the planned volumes of each channel, with the trade before Christmas. */
export function addPlan(book: BookBuilder, products: Ids, channels: Ids): void {
  const seasonId = book.add('season', {
    name: 'Gifts before Christmas',
    january: '0.4',
    february: '0.6',
    march: '0.7',
    april: '0.9',
    may: '1',
    june: '0.9',
    july: '0.7',
    august: '0.6',
    september: '0.9',
    october: '1.3',
    november: '2',
    december: '2',
  });
  for (const [product, units, isSeasonal = false] of PLAN)
    for (const [channel, unitsPerMonth] of Object.entries(units)) {
      const volumeId = book.add('plannedVolume', {
        productId: at(products, product),
        channelId: at(channels, channel),
        unitsPerMonth,
        seasonId: isSeasonal ? seasonId : null,
      });
      // No workshops while the studio is closed in the first half of January.
      if (product.startsWith('Glazing')) book.add('plannedMonth', { volumeId, month: 1, units: '24' });
    }
}
