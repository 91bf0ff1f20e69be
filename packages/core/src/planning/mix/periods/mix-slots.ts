import type { RowOf } from '@nuvar/book';
import { type Calculation, type Sheet } from '../../../sheet/index.js';
import { madeResources } from '../mix-component.js';
import { setUpHead } from '../set-up-head.js';
import { periodsOfMix } from './mix-periods.js';

/**
 * One quantity of a mix plan that is tried or found: how much of a line there is; in a plan of several periods how much of it is
 * sold in one of them, how much of its product is made, or how much of a component.
 */
export interface MixSlot {
  readonly id: string;
  readonly of: 'quantity' | 'sold' | 'made' | 'component';
  /** The row of the line, or of the resource that is a component. */
  readonly rowId: string;
  /** Null of a plan of one period. */
  readonly periodId: string | null;
}

/** What there can be of in one period. */
export type PeriodSlot = Exclude<MixSlot['of'], 'quantity'>;

/** The id of a quantity of one period. */
export const slotId = (rowId: string, periodId: string, of: PeriodSlot): string => `${rowId}.${periodId}.${of}`;

/** The quantities of a mix plan, by its id, in the order in which others than those tried by hand are asked for. */
export const mixSlots: Calculation<readonly MixSlot[]> = {
  name: 'mixSlots',
  meanings: {},
  work(sheet, planId) {
    const periods = periodsOfMix(sheet, planId);
    const lines = sheet.idsOf('mixProduct', 'planId', planId);
    if (periods.length === 0) return lines.map((id) => ({ id, of: 'quantity', rowId: id, periodId: null }));
    const slotsOf = (rowId: string, of: PeriodSlot) =>
      periods.map((periodId): MixSlot => ({ id: slotId(rowId, periodId, of), of, rowId, periodId }));
    return [
      ...lines.flatMap((id) => [
        ...(setUpHead(sheet, { id }) === id ? slotsOf(id, 'made') : []),
        ...slotsOf(id, 'sold'),
      ]),
      ...madeResources(sheet, planId).flatMap(({ id }) => slotsOf(id, 'component')),
    ];
  },
};

/** The places of the quantities of a mix plan, by their ids. */
export const mixSlotPlaces: Calculation<ReadonlyMap<string, number>> = {
  name: 'mixSlotPlaces',
  meanings: {},
  work: (sheet, planId) => new Map(sheet.read(mixSlots, planId).map(({ id }, at) => [id, at])),
};

/** What is said of a line in one period; nothing where no row says anything. */
export const productInPeriod = (
  sheet: Sheet,
  productId: string,
  periodId: string,
): RowOf<'mixPeriodProduct'> | undefined =>
  sheet.rowsOf('mixPeriodProduct', 'mixProductId', productId).find((row) => row.periodId === periodId);

/** What is said of a resource in one period; nothing where no row says anything. */
export const resourceInPeriod = (
  sheet: Sheet,
  resourceId: string,
  periodId: string,
): RowOf<'mixPeriodResource'> | undefined =>
  sheet.rowsOf('mixPeriodResource', 'resourceId', resourceId).find((row) => row.periodId === periodId);

/** A quantity as it is tried by hand, as a decimal. */
export function triedInSlot(sheet: Sheet, { of, rowId, periodId }: MixSlot): string {
  if (periodId === null) return sheet.row('mixProduct', rowId)?.quantity ?? '0';
  if (of === 'component') return resourceInPeriod(sheet, rowId, periodId)?.made ?? '0';
  const row = productInPeriod(sheet, rowId, periodId);
  return (of === 'made' ? row?.made : row?.sold) ?? '0';
}
