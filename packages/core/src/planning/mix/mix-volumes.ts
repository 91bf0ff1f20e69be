import { type Decimal, HUNDRED, ZERO } from '../../number/index.js';
import { plannedSales } from '../../production/index.js';
import type { Sheet } from '../../sheet/index.js';
import { mixPeriod } from './periods/mix-periods.js';
import { productsOfMix, madeOf } from './mix-quantities.js';

/** What a mix makes the planned volume of a product in a channel. */
export interface MixVolume {
  readonly productId: string;
  readonly channelId: string | null;
  /** Of all units of the product in the mix, in percent. */
  readonly share: string;
  /** Planned in the average month now; null where nothing is. */
  readonly now: string | null;
  readonly unitsPerMonth: string;
}

const DIGITS = 6;

/**
 * The quantities tried by hand - of a plan of several periods what is sold in all of them - as units of an average month by
 * channel = quantity / months of the period. A product for which the
 * plan names no channel is shared out in the proportions in which it is planned now; where it is planned nowhere, no channel is
 * named. Products that are not in the book are left out. Rounded to six digits.
 */
export function mixVolumes(sheet: Sheet, planId: string): MixVolume[] {
  const months = sheet.read(mixPeriod, planId).months.amount;
  if (months === null || months.isZero()) return [];
  const units = new Map<string, Map<string | null, Decimal>>();
  const quantities = madeOf(sheet, planId, null).quantities;
  for (const [index, { productId, channelId }] of productsOfMix(sheet, planId).entries()) {
    const quantity = quantities[index]?.amount ?? null;
    if (productId === null || quantity === null) continue;
    const ofProduct = units.get(productId) ?? new Map<string | null, Decimal>();
    units.set(productId, ofProduct);
    for (const [channel, part] of sharedOut(sheet, productId, channelId, quantity))
      ofProduct.set(channel, (ofProduct.get(channel) ?? ZERO).plus(part));
  }
  return [...units].flatMap(([productId, byChannel]) => {
    const total = [...byChannel.values()].reduce((so, part) => so.plus(part), ZERO);
    const sales = plannedSales(sheet, productId);
    return [...byChannel].map(([channelId, part]): MixVolume => {
      const now = sales.find((sale) => sale.channelId === channelId)?.units.amount ?? null;
      return {
        productId,
        channelId,
        now: now === null ? null : now.toDecimalPlaces(DIGITS).toFixed(),
        share: total.isZero() ? '0' : part.mul(HUNDRED).div(total).toDecimalPlaces(DIGITS).toFixed(),
        unitsPerMonth: part.div(months).toDecimalPlaces(DIGITS).toFixed(),
      };
    });
  });
}

function sharedOut(
  sheet: Sheet,
  productId: string,
  channelId: string | null,
  quantity: Decimal,
): [string | null, Decimal][] {
  if (channelId !== null) return [[channelId, quantity]];
  const sales = plannedSales(sheet, productId).flatMap(({ channelId: channel, units }) =>
    units.amount === null || units.amount.isZero() ? [] : [{ channel, units: units.amount }],
  );
  const total = sales.reduce((so, { units }) => so.plus(units), ZERO);
  if (total.isZero()) return [[null, quantity]];
  return sales.map(({ channel, units }) => [channel, quantity.mul(units).div(total)]);
}
