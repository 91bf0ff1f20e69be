import { Decimal, ZERO } from '../number/index.js';
import { plannedAt } from '../production/index.js';
import { pricePoint, setPrice } from '../selling/index.js';
import type { Evaluation } from '../sheet/index.js';
import type { BridgeOf } from './bridge-of.js';

/** One price with what is planned of it, what one leaves, and what one brings, on the side that volumes are taken from. */
interface Sold {
  readonly units: Decimal;
  readonly contribution: Decimal;
  readonly price: Decimal;
  readonly unit: string;
}

/** What a difference of volume is: more or less of everything, and another mix of it. */
export interface QuantityAndMix {
  readonly quantity: Decimal;
  readonly mix: Decimal;
}

const DECIMALS = 12;

/**
 * Takes the volumes of one side, and gives what is to be asked once other volumes are laid. Quantity = (all new units / all
 * old ones - 1) x old contribution; mix = each change of units x its old contribution, less quantity. Where the products are
 * not counted in one unit, they are measured by revenue at old prices. Without old units there is no mix: all is quantity.
 * Source: Horngren, Datar & Rajan, Cost Accounting (sales-quantity and sales-mix variances).
 */
export function quantityAndMix(evaluation: Evaluation, of: BridgeOf): { after(other: Evaluation): QuantityAndMix } {
  const before = soldIn(evaluation, of);
  return { after: (other) => between(before, soldIn(other, of)) };
}

function soldIn({ sheet }: Evaluation, of: BridgeOf): Map<string, Sold> {
  const points = sheet
    .all('pricePoint')
    .filter((point) => of.of === 'month' || (of.of === 'product' ? point.productId : point.channelId) === of.id);
  return new Map(
    points.flatMap((point): [string, Sold][] => {
      const product = sheet.row('product', point.productId);
      const units = plannedAt(sheet, point).amount;
      const contribution = sheet.read(pricePoint, point.id).contribution.amount;
      const price = sheet.read(setPrice, point.id).beforeTax.amount;
      if (product === undefined || product.archived || units === null || contribution === null) return [];
      return [[point.id, { units, contribution, price: price ?? ZERO, unit: product.outputUnit }]];
    }),
  );
}

function between(before: ReadonlyMap<string, Sold>, after: ReadonlyMap<string, Sold>): QuantityAndMix {
  const ids = [...new Set([...before.keys(), ...after.keys()])];
  const all = ids.map((id) => ({ old: before.get(id), now: after.get(id)?.units ?? ZERO }));
  const isOneUnit = new Set([...before.values(), ...after.values()].map(({ unit }) => unit)).size <= 1;
  const measure = (old: Sold | undefined) => (isOneUnit ? null : (old?.price ?? ZERO));
  const sum = (of: (each: (typeof all)[number]) => Decimal) => all.reduce((total, each) => total.plus(of(each)), ZERO);
  const weighed = (units: Decimal, old: Sold | undefined) => {
    const price = measure(old);
    return price === null ? units : units.mul(price);
  };
  const oldSize = sum(({ old }) => weighed(old?.units ?? ZERO, old));
  const newSize = sum(({ old, now }) => weighed(now, old));
  const oldContribution = sum(({ old }) => (old === undefined ? ZERO : old.units.mul(old.contribution)));
  const moved = sum(({ old, now }) => (old === undefined ? ZERO : now.minus(old.units).mul(old.contribution)));
  const exact = (amount: Decimal) => amount.toDecimalPlaces(DECIMALS, Decimal.ROUND_HALF_UP);
  if (oldSize.isZero()) return { quantity: exact(moved), mix: ZERO };
  const quantity = exact(newSize.div(oldSize).minus(1).mul(oldContribution));
  return { quantity, mix: exact(moved).minus(quantity) };
}
