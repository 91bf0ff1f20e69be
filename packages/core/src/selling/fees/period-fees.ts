import { nameKey, type RowOf, SPREAD_FEE_BASES } from '@nuvar/book';
import { type Figure, multiplied, ofMissingRow, quotient, sum } from '../../figure/index.js';
import { type Calculation, DAY, idOf, LISTING, money, MONTH, OUTPUT, type Sheet } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';
import { withTaxNotRecovered } from '../tax-on-fee.js';
import { isInForce } from './fee-rule-in-force.js';
import { plannedInChannel } from './planned-in-channel.js';

type Rule = RowOf<'feeRule'>;

/** True for a fee that comes with a month, a day or a listing, and not with a unit that is sold. */
export const isOfPeriod = ({ takenOf }: Rule): boolean => SPREAD_FEE_BASES.some((basis) => basis === takenOf);

/**
 * The fees of a channel that come with months, days and listings, in a month: period costs, in no contribution. A fee by the
 * month counts once; days and listings = planned units of a month in the channel / units sold in one of them; with the tax that
 * is not recovered. Gaps: no amount; units of a day or a listing not stated; nothing planned of which their number would follow.
 */
export const periodFees: Calculation<{ readonly perMonth: Figure }> = {
  name: 'periodFees',
  meanings: {
    perMonth: 'What the channel takes in a month whatever is sold: its fees by the month, the day and the listing.',
  },
  work(sheet, channelId) {
    const channel = sheet.row('channel', channelId);
    const perMonth = money(sheet).per(MONTH);
    if (channel === undefined)
      return { perMonth: ofMissingRow({ name: 'Fees of a month', unit: perMonth }, 'a channel') };
    const fees = periodRules(sheet, channelId).map((rule) => ofMonth(sheet, channel, rule));
    return { perMonth: sum({ name: 'Fees of a month', subject: channel.name }, perMonth, fees) };
  },
};

/** The fees of a channel that come with a period and are in force on the day of the evaluation. */
export const periodRules = (sheet: Sheet, channelId: string): readonly Rule[] =>
  sheet.rowsOf('feeRule', 'channelId', channelId).filter((rule) => isOfPeriod(rule) && isInForce(rule, sheet.asOf));

function ofMonth(sheet: Sheet, channel: RowOf<'channel'>, rule: Rule): Figure {
  const { name: subject } = channel;
  const each = rule.takenOf === 'day' ? DAY : rule.takenOf === 'listing' ? LISTING : MONTH;
  const stated = sheet.input('feeRule', rule, 'amount', {
    name: rule.name,
    subject,
    unit: money(sheet).per(each),
    whenEmpty: (place) => sellingGap('no-fee-yet', place, { fee: rule.name }),
  });
  if (each === MONTH) return withTaxNotRecovered(sheet, 'feeRule', rule, stated);
  const sold = sheet.input('feeRule', rule, 'spreadOver', {
    name: `Units sold in a ${rule.takenOf}`,
    subject: rule.name,
    unit: OUTPUT.per(each),
    whenEmpty: (place) => sellingGap('no-units-to-spread-over', place, { fee: rule.name, base: rule.takenOf }),
  });
  const planned = sheet.read(plannedInChannel, idOf(channel.id, nameKey(rule.category.trim()))).units;
  const count = quotient({ name: `Number of ${rule.takenOf}s in a month`, subject: rule.name }, planned, sold);
  const inMonth = multiplied({ name: `${rule.name} in a month`, subject }, stated, count);
  return withTaxNotRecovered(sheet, 'feeRule', rule, inMonth);
}
