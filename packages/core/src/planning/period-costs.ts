import { type Figure, quotient, sum } from '../figure/index.js';
import { fixedCosts, openDays, overhead } from '../overhead/index.js';
import { isPlannedAt } from '../production/index.js';
import { fulfillerOf, periodFees, periodRules } from '../selling/index.js';
import { type Calculation, money, MONTH, type Sheet, WHOLE_BOOK } from '../sheet/index.js';

/** What a month costs whatever is made and sold. */
export interface PeriodCosts {
  /** The fees by the month, the day and the listing of the channels in which something is planned. */
  readonly channelFees: Figure;
  readonly total: Figure;
  /** Running costs and period fees, on each open day. */
  readonly perOpenDay: Figure;
}

/**
 * The fixed costs of a month and the period fees of channels: those of every channel in which something is planned to be sold, or
 * that fulfils the orders of one.
 */
export const periodCosts: Calculation<PeriodCosts> = {
  name: 'periodCosts',
  meanings: {
    channelFees: 'What channels take in a month whatever is sold in them.',
    total: 'All that a month costs whatever is made and sold: fixed costs, and the period fees of channels.',
    perOpenDay: 'What each open day costs: running costs, and the period fees of channels.',
  },
  work: (sheet) => withChannels(sheet, channelsInUse(sheet)),
};

/** The same, where something is sold in one channel more: a price that is tried in it. */
export function periodCostsWith(sheet: Sheet, channelId: string): Figure {
  const inUse = channelsInUse(sheet);
  if (inUse.has(channelId) || periodRules(sheet, channelId).length === 0)
    return sheet.read(periodCosts, WHOLE_BOOK).total;
  return withChannels(sheet, new Set([...inUse, channelId])).total;
}

function withChannels(sheet: Sheet, channels: ReadonlySet<string>): PeriodCosts {
  const perMonth = money(sheet).per(MONTH);
  const fees = [...channels].flatMap((id) =>
    periodRules(sheet, id).length === 0 ? [] : [sheet.read(periodFees, id).perMonth],
  );
  const { total: fixed } = sheet.read(fixedCosts, WHOLE_BOOK);
  const running = sheet.read(overhead, WHOLE_BOOK);
  const channelFees = sum('Period fees of channels', perMonth, fees);
  return {
    channelFees,
    total: fees.length === 0 ? fixed : sum('Fixed costs and period fees', perMonth, [fixed, channelFees]),
    perOpenDay:
      fees.length === 0
        ? running.perOpenDay
        : quotient(
            'Per open day',
            sum('Running costs and period fees', perMonth, [running.total, channelFees]),
            sheet.read(openDays, WHOLE_BOOK).perMonth,
          ),
  };
}

function channelsInUse(sheet: Sheet): ReadonlySet<string> {
  const withFees = sheet.all('channel').filter(({ id }) => periodRules(sheet, id).length > 0);
  if (withFees.length === 0) return new Set();
  const planned = sheet
    .all('channel')
    .filter(({ id }) => sheet.rowsOf('pricePoint', 'channelId', id).some((point) => isPlannedAt(sheet, point)));
  const inUse = new Set(planned.flatMap((channel) => [channel.id, fulfillerOf(sheet, channel).id]));
  return new Set(withFees.flatMap(({ id }) => (inUse.has(id) ? [id] : [])));
}
