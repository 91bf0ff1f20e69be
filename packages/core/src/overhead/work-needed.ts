import { type Figure, multiplied, sum } from '../figure/index.js';
import { isInPlan, plannedBatches } from '../production/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { unitOfDriver } from './driver.js';
import { ownDriverTakings } from './driver-takings.js';
import { driverName } from './driver-uses.js';
import { driverVolume } from './driver-volume.js';

/**
 * How much of a driver the plan takes up in an average month, to be held against what there is: as the volume over which overhead
 * is shared; where the book plans in whole batches, what each product takes by itself x its whole batches. Orders come with what
 * is sold. The id is the driver.
 */
export const workNeeded: Calculation<{ perMonth: Figure }> = {
  name: 'workNeeded',
  meanings: { perMonth: 'How much of the driver the plan takes up in an average month.' },
  work(sheet, driver) {
    if (!sheet.settings().wholeBatches || driver === 'orders')
      return { perMonth: sheet.read(driverVolume, driver).planned };
    const needs = sheet
      .all('product')
      .filter(isInPlan)
      .flatMap(({ id }) => takenBy(sheet, id, driver));
    const perMonth = unitOfDriver(sheet, driver).per(MONTH);
    return { perMonth: sum(`${driverName(sheet, driver)} in whole batches`, perMonth, needs) };
  },
};

function takenBy(sheet: Sheet, productId: string, driver: string): Figure[] {
  const { batches, made } = sheet.read(plannedBatches, productId);
  const subject = sheet.row('product', productId)?.name ?? '';
  return ownDriverTakings(sheet, productId)
    .filter((taking) => taking.driver === driver)
    .map(({ of, quantity, perMonth }) =>
      perMonth === undefined
        ? multiplied({ name: driverName(sheet, driver), subject }, quantity, of === 'batch' ? batches : made)
        : perMonth,
    );
}
