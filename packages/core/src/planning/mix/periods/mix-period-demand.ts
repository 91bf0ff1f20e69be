import { constant, type Figure } from '../../../figure/index.js';
import { unit } from '../../../quantity/index.js';
import type { Calculation } from '../../../sheet/index.js';
import { nameInMix, outputInMix } from '../mix-product.js';
import { productInPeriod } from './mix-slots.js';
import { subjectOf } from './period-quantity.js';

/** How much of a line is asked for in one period. */
export interface MixPeriodDemand {
  readonly least: Figure;
  readonly most: Figure | null;
}

/** How much of a line is to be sold in one period at least, and can be at most; the id is "line.period". Demand that is not met is lost. */
export const mixPeriodDemand: Calculation<MixPeriodDemand> = {
  name: 'mixPeriodDemand',
  meanings: {
    least: 'How much of it is to be sold in the period at least.',
    most: 'How much of it can be sold in the period at most.',
  },
  work(sheet, id) {
    const [lineId = '', periodId = ''] = id.split('.');
    const line = sheet.row('mixProduct', lineId);
    const row = productInPeriod(sheet, lineId, periodId);
    const counted = line === undefined ? unit('each') : outputInMix(sheet, line);
    const subject = line === undefined ? '' : subjectOf(sheet, nameInMix(sheet, line), periodId);
    if (row === undefined) return { least: constant('Sold at least', '0', counted, 'nothing entered'), most: null };
    const limit = (field: 'minimum' | 'maximum', name: string) =>
      sheet.input('mixPeriodProduct', row, field, { name, subject, unit: counted });
    return {
      least: limit('minimum', 'Sold at least'),
      most: row.maximum === null ? null : limit('maximum', 'Sold at most'),
    };
  },
};
