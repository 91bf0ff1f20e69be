import { nameKey } from '@nuvar/book';
import { constant, type Figure, missing, multiplied, sum } from '../../figure/index.js';
import { plannedAt } from '../../production/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, MONTH, OUTPUT, partsOf } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';

/**
 * The units of all products together that are planned to be sold in a channel in the average month: what a fee for each month is
 * spread over. The id is that of the channel, or "channel@category" with the key of a category for its products alone. What is
 * planned elsewhere counts nothing. Gap: nothing is planned there.
 */
export const plannedInChannel: Calculation<{ units: Figure }> = {
  name: 'plannedInChannel',
  meanings: { units: 'The units of all products that are planned to be sold in the channel in the average month.' },
  work(sheet, id) {
    const [channelId = '', category = ''] = partsOf(id);
    const subject = sheet.row('channel', channelId)?.name ?? 'this channel';
    const called = { name: 'Planned units in the channel', subject };
    const perMonth = OUTPUT.per(MONTH);
    const parts = sheet.rowsOf('pricePoint', 'channelId', channelId).flatMap((point) => {
      const planned = plannedAt(sheet, point);
      const product = sheet.row('product', point.productId);
      if (product === undefined || planned.amount === null || planned.amount.isZero()) return [];
      if (category !== '' && nameKey(product.category.trim()) !== category) return [];
      const one = constant('One unit', '1', OUTPUT.per(unit(product.outputUnit)), 'definition');
      return [multiplied({ name: 'Planned units', subject: product.name }, planned, one)];
    });
    if (parts.length === 0) {
      const place = { kind: 'channel', id: channelId, field: 'plannedUnits' } as const;
      return {
        units: missing({ ...called, unit: perMonth }, sellingGap('nothing-planned-in-channel', place, { subject })),
      };
    }
    return { units: sum(called, perMonth, parts) };
  },
};
