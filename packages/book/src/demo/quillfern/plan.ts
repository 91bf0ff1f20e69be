import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** What is planned to be sold in the average month, and which of it goes by the season. */
const PLAN: readonly (readonly [product: string, units: string, isSeasonal?: boolean])[] = [
  ['Everyday mug', '240'],
  ['Breakfast bowl', '120'],
  ['Teapot with cane handle', '24', true],
  ['Serving platter', '18', true],
  ['Gift set, two mugs', '30', true],
  ['Cork trivet', '40'],
  ['Glazing workshop, two hours', '48'],
  ['Soap dish', '20'],
];

/** Adds the planned volumes of the web shop, with the trade before Christmas. */
export function addPlan(book: BookBuilder, products: Ids, channelId: string): void {
  const seasonId = book.add('season', {
    name: 'Gifts before Christmas',
    ...{ january: '0.4', february: '0.6', march: '0.7', april: '0.9', may: '1', june: '0.9' },
    ...{ july: '0.7', august: '0.6', september: '0.9', october: '1.3', november: '2', december: '2' },
  });
  for (const [product, unitsPerMonth, isSeasonal = false] of PLAN) {
    const volumeId = book.add('plannedVolume', {
      ...{ productId: at(products, product), channelId, unitsPerMonth, seasonId: isSeasonal ? seasonId : null },
    });
    // No workshops while the studio is closed in the first half of January.
    if (product.startsWith('Glazing')) book.add('plannedMonth', { volumeId, month: 1, units: '24' });
  }
}
