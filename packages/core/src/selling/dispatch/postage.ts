import { type RowOf, nameKey } from '@nuvar/book';
import { choice, type Figure, isWhole, missing, multiplied, percentOf, quotient, sum } from '../../figure/index.js';
import { compared, decimal } from '../../number/index.js';
import { PERCENT } from '../../quantity/index.js';
import { money, ORDER, type Sheet } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';
import { withTaxNotRecovered } from '../tax-on-fee.js';
import { chargedParcel } from './charged-parcel.js';
import type { SoldProduct } from './packing.js';

type Rate = RowOf<'carrierRate'>;

/**
 * The postage that is paid for one unit: for each share of the orders the rate of its carrier table for its zone and the
 * weight of an order (units per order x packed weight), with the tax on it that is not recovered; divided by the units of an
 * order. Null where the channel sends nothing. Gaps: no packed weight; a zone without a rate; a weight above the last rate.
 * Shares that are not 100 % together are counted as they are, and are a loose end.
 */
export function postageOf(
  sheet: Sheet,
  channel: RowOf<'channel'>,
  product: SoldProduct,
  unitsPerOrder: () => Figure,
): Figure | null {
  const shares = sheet.rowsOf('postageShare', 'channelId', channel.id);
  if (shares.length === 0) return null;
  const subject = channel.name;
  const perOrder = money(sheet).per(ORDER);
  const parts = shares.map((share) => {
    const rate = rateFor(sheet, share, channel, product, unitsPerOrder());
    const percent = sheet.input('postageShare', share, 'percent', { name: 'Of the orders', subject, unit: PERCENT });
    return share.percent === '100' ? rate : percentOf({ name: `${rate.name}, its share`, subject }, percent, rate);
  });
  const [only] = parts;
  const total =
    only !== undefined && parts.length === 1 ? only : sum({ name: 'Postage of an order', subject }, perOrder, parts);
  return quotient({ name: 'Postage paid', subject }, total, unitsPerOrder());
}

function rateFor(
  sheet: Sheet,
  share: RowOf<'postageShare'>,
  channel: RowOf<'channel'>,
  product: SoldProduct,
  unitsPerOrder: Figure,
): Figure {
  const perOrder = money(sheet).per(ORDER);
  const table = sheet.row('carrierTable', share.tableId);
  const subject = table?.name ?? channel.name;
  const called = { name: 'Postage', subject };
  const place = { kind: 'carrierTable', id: share.tableId, field: 'rates' } as const;
  const zone = share.zone.trim();
  const rates = sheet
    .rowsOf('carrierRate', 'tableId', share.tableId)
    .filter((rate) => nameKey(rate.zone.trim()) === nameKey(zone))
    .sort((one, other) => compared(decimal(one.upToKilograms), decimal(other.upToKilograms)));
  if (table === undefined || rates.length === 0)
    return missing({ ...called, unit: perOrder }, sellingGap('no-carrier-zone', place, { subject, zone }));
  const weight = multiplied(
    { name: 'Weight of an order', subject: product.name },
    sheet.read(chargedParcel, `${product.id}@carrierTable.${table.id}`).charged,
    unitsPerOrder,
  );
  if (!isWhole(weight))
    return missing(
      { ...called, unit: perOrder },
      weight.gaps[0] ?? sellingGap('no-carrier-zone', place, { subject, zone }),
      [weight],
    );
  const reached = rates.find(({ upToKilograms }) => compared(weight.amount, decimal(upToKilograms)) <= 0);
  if (reached === undefined) {
    const heaviest = rates.at(-1)?.upToKilograms ?? '';
    return missing(
      { ...called, unit: perOrder },
      sellingGap('above-carrier-rates', place, { subject, weight: heaviest }),
      [weight],
    );
  }
  return withTaxNotRecovered(sheet, 'carrierTable', table, ofRate(sheet, reached, called, weight));
}

function ofRate(sheet: Sheet, rate: Rate, called: { name: string; subject: string }, weight: Figure): Figure {
  const amount = sheet.input('carrierRate', rate, 'amount', { ...called, unit: money(sheet).per(ORDER) });
  const kilograms = weight.amount?.toDecimalPlaces(3).toFixed() ?? '';
  return choice(
    called,
    amount,
    `up to ${rate.upToKilograms} kg${rate.zone === '' ? '' : `, ${rate.zone}`}; it weighs ${kilograms} kg`,
  );
}
