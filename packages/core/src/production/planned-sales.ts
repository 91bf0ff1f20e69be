import type { RowOf } from '@nuvar/book';
import { choice, constant, type Figure, missing } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { MONTH, type Sheet } from '../sheet/index.js';
import { productionGap } from './gaps.js';

/** What is planned to be sold of a product in a month, and where. */
export interface PlannedSales {
  /** Units in all. A gap where nothing is planned yet. */
  readonly units: Figure;
  /** The id of the price at which they are sold; null where there is none. At every other price nothing is sold. */
  readonly pricePointId: string | null;
}

/**
 * What is planned to be sold of a product in a month. Until volumes are planned for each channel, the planned units of a
 * product count once: at its first price that is set, else at its first. Nobody else reads the planned units.
 */
export function plannedSales(sheet: Sheet, productId: string): PlannedSales {
  const points = sheet.rowsOf('pricePoint', 'productId', productId);
  const counted = points.find(({ price }) => price !== null) ?? points[0];
  return { units: plannedUnits(sheet, productId), pricePointId: counted?.id ?? null };
}

/** What of it is sold at one price. Stated gap: the planned units are counted at another price. */
export function plannedAt(sheet: Sheet, point: RowOf<'pricePoint'>): Figure {
  const { units, pricePointId } = plannedSales(sheet, point.productId);
  if (pricePointId === point.id) return units;
  const counted = pricePointId === null ? undefined : sheet.row('pricePoint', pricePointId);
  const channel = counted && sheet.row('channel', counted.channelId);
  return missing(
    units,
    productionGap('planned-elsewhere', null, { subject: units.subject, channel: channel?.name ?? '' }),
  );
}

/** The units of it in all, for whoever need not know where they are sold. What is archived is not planned. */
export function plannedUnits(sheet: Sheet, productId: string): Figure {
  const row = sheet.row('product', productId);
  const subject = row?.name ?? 'this product';
  const leaf = { name: 'Planned units per month', subject, unit: unit(row?.outputUnit ?? 'each').per(MONTH) };
  const whenEmpty = () =>
    productionGap('no-planned-units', { kind: 'product', id: productId, field: 'plannedUnitsPerMonth' }, { subject });
  if (row === undefined) return missing(leaf, whenEmpty());
  if (row.archived)
    return choice(leaf, constant('Nothing', '0', leaf.unit, 'archived'), 'an archived product is not planned');
  return sheet.input('product', row, 'plannedUnitsPerMonth', { ...leaf, whenEmpty });
}
