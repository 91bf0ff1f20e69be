import type { RowOf } from '@nuvar/book';
import { constant, type Figure, multiplied, ofMissingRow, quotient } from '../../../figure/index.js';
import { unit } from '../../../quantity/index.js';
import type { Calculation, Sheet } from '../../../sheet/index.js';
import { mixResourceTerms, nameOfResource, premiumOfExtra, unitOfMixResource } from '../mix-resource.js';
import { mixPeriod, mixPeriodLength, periodsOfMix } from './mix-periods.js';
import { resourceInPeriod } from './mix-slots.js';
import { subjectOf } from './period-quantity.js';

/** How much of a resource there is in one period. */
export interface MixPeriodSupply {
  /** Of what is kept: what comes in. */
  readonly available: Figure;
  /** How much more can be had in it; of what is kept, in it and all periods before together. Null for none. */
  readonly extra: Figure | null;
  /** What an extra unit costs above the normal price; null where there is no extra. */
  readonly premium: Figure | null;
}

/** True of what a period leaves for the next: materials, components, and what is said to be. Hours that are not used are gone. */
export const isKept = ({ materialId, componentId, isKept: kept, ...others }: RowOf<'mixResource'>): boolean =>
  materialId !== null ||
  componentId !== null ||
  (kept && others.gradeId === null && others.equipmentId === null && others.runId === null);

/**
 * How much of a resource there is in one period of a plan; the id is "resource.period". As typed; else the part of the plan that
 * falls to the period by its length; of what is kept all of it is there in the first period, and nothing comes in later.
 */
export const mixPeriodSupply: Calculation<MixPeriodSupply> = {
  name: 'mixPeriodSupply',
  meanings: {
    available: 'How much of it there is in the period; of what is kept over, how much comes in.',
    extra: 'How much more of it can be had.',
    premium: 'What an extra unit costs above its normal price.',
  },
  work(sheet, id) {
    const [resourceId = '', periodId = ''] = id.split('.');
    const row = sheet.row('mixResource', resourceId);
    if (row === undefined)
      return {
        available: ofMissingRow({ name: 'Available', unit: unit('each') }, 'a mix plan'),
        extra: null,
        premium: null,
      };
    const { available, extra, premium } = sheet.read(mixResourceTerms, resourceId);
    const typed = resourceInPeriod(sheet, resourceId, periodId);
    const subject = subjectOf(sheet, nameOfResource(sheet, row), periodId);
    const counted = unitOfMixResource(sheet, row);
    const isFirst = periodsOfMix(sheet, row.planId)[0] === periodId;
    const falling = (name: string, of: Figure) =>
      multiplied({ name, subject }, of, partOf(sheet, row.planId, periodId));
    const typedFigure = (field: 'available' | 'extra', name: string) =>
      typed === undefined || typed[field] === null
        ? null
        : sheet.input('mixPeriodResource', typed, field, { name, subject, unit: counted });
    if (isKept(row))
      return {
        available:
          typedFigure('available', 'Comes in') ??
          (isFirst ? available : constant('Comes in', '0', counted, 'nothing entered')),
        extra,
        premium,
      };
    const typedExtra = typedFigure('extra', 'Extra, up to');
    return {
      available: typedFigure('available', 'Available') ?? falling('Available', available),
      extra: typedExtra ?? (extra === null ? null : falling('Extra, up to', extra)),
      premium: premium ?? (typedExtra === null ? null : premiumOfExtra(sheet, row)),
    };
  },
};

/** The length of a period against that of the plan. */
const partOf = (sheet: Sheet, planId: string, periodId: string): Figure =>
  quotient('Part of the plan', sheet.read(mixPeriodLength, periodId).months, sheet.read(mixPeriod, planId).months);
