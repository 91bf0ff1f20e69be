import type { AbsorptionBasis, Capacity } from '@nuvar/book';
import { choice, constant, type Figure, type Gap, isWhole, missing, quotient } from '../figure/index.js';
import { compared } from '../number/index.js';
import type { Sheet } from '../sheet/index.js';
import type { Driver } from './driver.js';
import { driverVolume } from './driver-volume.js';
import { overheadGap } from './gaps.js';

/** A rate: what is shared out / the driver units over which it is. Where there is nothing to share out it is nothing, and no basis is asked for. */
export function lotRate(name: string, subject: string, cost: Figure, basis: Figure, whenZero: Gap): Figure {
  const called = { name, subject };
  if (isWhole(cost) && cost.amount.isZero()) {
    const nothing = constant('Nothing to share out', '0', cost.unit.per(basis.unit), 'no running costs');
    return choice(called, nothing, 'there are no running costs to share out');
  }
  return quotient(called, cost, basis, whenZero);
}

interface BasisOf {
  readonly subject: string;
  readonly driver: Driver;
  readonly capacity: Capacity;
  /** Normal capacity as it is typed; null where it is not. */
  readonly normal: Figure | null;
  /** What was really there in the newest month that is known; null where none is. */
  readonly actual: Figure | null;
  /** What to say where actual capacity is wanted and none is known. */
  readonly noActual: Gap;
}

/**
 * What production overhead is shared over: normal capacity where it is typed (IAS 2, paragraph 13), else what the plan needs;
 * or the plan, or the actual basis, as the method says. A plan that needs more than normal or actual capacity is the basis
 * itself, so that no more is shared out than there is.
 */
export function absorptionBasis(sheet: Sheet, of: BasisOf): Figure {
  const { planned } = sheet.read(driverVolume, of.driver);
  const called = { name: 'Shared over', subject: of.subject };
  const capacity = of.capacity === 'normal' ? of.normal : of.capacity === 'actual' ? of.actual : null;
  if (of.capacity === 'actual' && of.actual === null) return missing({ ...called, unit: planned.unit }, of.noActual);
  if (capacity === null) return choice(called, planned, 'what the planned units need');
  const word = of.capacity === 'normal' ? 'normal capacity' : 'the actual capacity';
  return planned.amount !== null && capacity.amount !== null && compared(planned.amount, capacity.amount) > 0
    ? choice(called, planned, `what the planned units need, more than ${word}`)
    : choice(
        called,
        capacity,
        of.capacity === 'normal' ? 'normal capacity as typed' : 'the actual capacity of the newest month',
      );
}

/** What a basis lacks that is zero: labour hours are asked for by a sentence of their own. */
export function noBasis(
  sheet: Sheet,
  basis: AbsorptionBasis,
  subject: string,
  place: Parameters<typeof overheadGap>[1],
): Gap {
  if (basis === 'labour hours' && subject === '')
    return overheadGap('no-labour-hours', {
      kind: 'settings',
      id: sheet.settings().id,
      field: 'normalLabourHoursPerMonth',
    });
  return overheadGap('no-basis', place, { basis, subject: subject === '' ? 'the book' : subject });
}
