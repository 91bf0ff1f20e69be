import type { RowOf } from '@nuvar/book';
import { choice, constant, type Figure, missing, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { productionGap } from './gaps.js';
import { plannedVolume } from './planned-volume.js';

/** What is planned to be sold of a product in one channel. */
export interface PlannedSale {
  readonly volumeId: string;
  /** Null where it is neither said where it is sold nor has a price anywhere. */
  readonly channelId: string | null;
  readonly units: Figure;
}

/**
 * What is planned to be sold of a product in an average month, by channel. A volume that names no channel counts in that of
 * the first price that is set, else of the first price. What is archived, or exists for a quote alone, is not planned.
 */
export function plannedSales(sheet: Sheet, productId: string): PlannedSale[] {
  if (!isInPlan(sheet.row('product', productId))) return [];
  return sheet.rowsOf('plannedVolume', 'productId', productId).map((row) => ({
    volumeId: row.id,
    channelId: row.channelId ?? channelOfFirstPrice(sheet, productId),
    units: sheet.read(plannedVolume, row.id).average,
  }));
}

/** What is archived, or exists for a quote that is not won, is neither made nor sold. */
export const isInPlan = (product: Pick<RowOf<'product'>, 'archived' | 'quoted'> | undefined): boolean =>
  product !== undefined && !product.archived && !product.quoted;

function channelOfFirstPrice(sheet: Sheet, productId: string): string | null {
  const points = sheet.rowsOf('pricePoint', 'productId', productId);
  return (points.find(({ price }) => price !== null) ?? points[0])?.channelId ?? null;
}

/** What of a product is sold at one price. Stated gap: it is planned in other channels only. */
export function plannedAt(sheet: Sheet, point: RowOf<'pricePoint'>): Figure {
  const sales = plannedSales(sheet, point.productId);
  const here = sales.filter(({ channelId }) => channelId === point.channelId).map(({ units }) => units);
  const [only] = here;
  if (only !== undefined && here.length === 1) return only;
  const all = plannedUnits(sheet, point.productId);
  if (here.length > 1) return sum({ name: all.name, subject: all.subject }, all.unit, here);
  const elsewhere = sales.find(({ channelId }) => channelId !== null);
  const channel = sheet.row('channel', elsewhere?.channelId ?? '');
  if (channel === undefined) return all;
  return missing(all, productionGap('planned-elsewhere', null, { subject: all.subject, channel: channel.name }));
}

/** True where some of what is planned of its product is sold at a price. */
export function isPlannedAt(sheet: Sheet, { productId, channelId }: RowOf<'pricePoint'>): boolean {
  return plannedSales(sheet, productId).some((sale) => sale.channelId === channelId);
}

/** The units of a product in all channels, in the average month. Worked out once for whoever need not know where. */
export const allPlannedUnits: Calculation<{ units: Figure }> = {
  name: 'plannedUnits',
  meanings: { units: 'Units of the product that are planned to be sold in the average month, in all channels.' },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? 'this product';
    const leaf = { name: 'Planned units per month', subject, unit: unit(row?.outputUnit ?? 'each').per(MONTH) };
    if (row?.archived)
      return {
        units: choice(leaf, constant('Nothing', '0', leaf.unit, 'archived'), 'an archived product is not planned'),
      };
    const sales = plannedSales(sheet, productId).map(({ units }) => units);
    const [only] = sales;
    if (only === undefined) {
      const place = { kind: 'product', id: productId, field: 'plannedUnits' } as const;
      return { units: missing(leaf, productionGap('no-planned-units', place, { subject })) };
    }
    return { units: sales.length === 1 ? only : sum(leaf, leaf.unit, sales) };
  },
};

/** The units of it in all, for whoever need not know where they are sold. What is archived is not planned. */
export const plannedUnits = (sheet: Sheet, productId: string): Figure => sheet.read(allPlannedUnits, productId).units;
