import { type Figure, quotient } from '../figure/index.js';
import { resourceUse } from '../production/index.js';
import type { Calculation } from '../sheet/index.js';
import { pricePoint } from './price-point.js';

/** What a sale leaves for each hour of what runs short. */
export interface PerBottleneck {
  readonly hours: Figure;
  readonly contribution: Figure;
}

/**
 * Contribution for each hour of a bottleneck: a machine (with the hours in shared loads that the places take up), a labour
 * grade, or all work without the owner's own time. The id is "point@equipment.id", "point@labourGrade.id" or "point@paid".
 */
export const perBottleneck: Calculation<PerBottleneck> = {
  name: 'perBottleneck',
  meanings: {
    hours: 'Hours of the bottleneck in one unit.',
    contribution: 'What each hour of the bottleneck earns (contribution).',
  },
  work(sheet, id) {
    const [pointId = '', of = ''] = id.split('@');
    const { contribution } = sheet.read(pricePoint, pointId);
    const productId = sheet.row('pricePoint', pointId)?.productId ?? '';
    const { subject } = contribution;
    const hours = sheet.read(resourceUse, `${productId}@${of}`).perUnit;
    return {
      hours,
      contribution: quotient({ name: 'Contribution per bottleneck hour', subject }, contribution, hours),
    };
  },
};
