import { productDriverUse, workNeeded } from '../../overhead/index.js';
import {
  plannedBatches,
  plannedSales,
  plannedUnits,
  plannedVolume,
  plannedVolumeMonth,
} from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown } from '../general/figure-view.js';

/** What follows from the planned units, in the order in which it is shown. */
export const VOLUME_DRIVERS_SHOWN = ['labour hours', 'machine hours', 'batches', 'orders', 'bill lines'] as const;
type ShownDriver = (typeof VOLUME_DRIVERS_SHOWN)[number];

/** The planned units of every product by channel and month, and the work that follows from them. */
export interface VolumesView {
  readonly volumes: Readonly<Record<string, { readonly average: FigureView; readonly months: readonly FigureView[] }>>;
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly units: FigureView;
    /** With what goes into other products; in whole batches where the book plans so. */
    readonly output: FigureView;
    readonly batches: FigureView;
    readonly drivers: Readonly<Record<ShownDriver, FigureView>>;
  }[];
  readonly drivers: Readonly<Record<ShownDriver, FigureView>>;
}

/** The planned volumes of the book, with the hours, batches and orders that they need in an average month. */
export function volumesView(evaluation: Evaluation): VolumesView {
  const { sheet } = evaluation;
  const byDriver = (of: (driver: ShownDriver) => FigureView) =>
    Object.fromEntries(VOLUME_DRIVERS_SHOWN.map((driver) => [driver, of(driver)])) as Record<ShownDriver, FigureView>;
  return {
    volumes: Object.fromEntries(
      sheet.all('plannedVolume').map(({ id }) => [
        id,
        {
          average: shown(evaluation, plannedVolume, id, 'average'),
          months: Array.from({ length: 12 }, (_none, index) =>
            shown(evaluation, plannedVolumeMonth, `${id}@${index + 1}`, 'units'),
          ),
        },
      ]),
    ),
    products: sheet
      .all('product')
      .filter(({ id, archived }) => !archived && plannedSales(sheet, id).length > 0)
      .map(({ id, name }) => ({
        id,
        name,
        units: figureView(plannedUnits(sheet, id)),
        output: shown(evaluation, plannedBatches, id, 'made'),
        batches: shown(evaluation, plannedBatches, id, 'batches'),
        drivers: byDriver((driver) => shown(evaluation, productDriverUse, `${id}@${driver}`, 'perUnit')),
      })),
    drivers: byDriver((driver) => shown(evaluation, workNeeded, driver, 'perMonth')),
  };
}
