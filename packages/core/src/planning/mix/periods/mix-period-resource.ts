import type { RowOf } from '@nuvar/book';
import { difference, type Figure, multiplied, ofMissingRow, sum } from '../../../figure/index.js';
import { unit } from '../../../quantity/index.js';
import type { Calculation, Sheet } from '../../../sheet/index.js';
import { madeResources, mixComponentUse } from '../mix-component.js';
import { isMade, quantitiesAsked } from '../mix-quantities.js';
import { atLeastNothing, type MixResourceOutcome, supplyOutcome } from '../mix-resource-outcome.js';
import { nameOfResource, unitOfMixResource } from '../mix-resource.js';
import { takersThatMake } from '../mix-takers.js';
import { isKept, mixPeriodSupply } from './mix-period-supply.js';
import { periodsOfMix } from './mix-periods.js';
import { type AskedQuantities, componentInPeriod, lineInPeriod, subjectOf } from './period-quantity.js';

/** What the products made in one period take of a resource. */
export interface MixPeriodResource extends MixResourceOutcome {
  /** What there is in the period: of what is kept with what the period before leaves, of a component with what is made. */
  readonly available: Figure;
  readonly extra: Figure | null;
  readonly premium: Figure | null;
}

/**
 * What is made in one period takes of a resource = sum of made x use per unit, and the use of the set-ups of all that is made in
 * it; the id is "resource.period", or "resource.period@12|30|0". Of what is kept, what the period before leaves is there too, and
 * the extra counts once for all periods; a component is there as far as it was in stock or made.
 */
export const mixPeriodResource: Calculation<MixPeriodResource> = {
  name: 'mixPeriodResource',
  meanings: {
    available: 'How much of it there is in the period.',
    extra: 'How much more of it can be had.',
    premium: 'What an extra unit costs above its normal price.',
    used: 'How much of it is taken in the period.',
    left: 'How much of it is left at the end of the period; below zero where it runs short.',
    extraUsed: 'How much of the extra is taken.',
    extraCost: 'What that extra costs above its normal price.',
    made: 'How much of the component is made in the period.',
    short: 'How much the period lacks, with all extra.',
  },
  work(sheet, id) {
    const { of, quantities: asked } = quantitiesAsked(sheet, id);
    const [resourceId = '', periodId = ''] = of.split('.');
    const row = sheet.row('mixResource', resourceId);
    const supply = sheet.read(mixPeriodSupply, of);
    if (row === undefined) {
      const figure = ofMissingRow({ name: 'Used', unit: unit('each') }, 'a mix plan');
      return { ...supply, used: figure, left: figure, extraUsed: null, extraCost: null, made: null, short: figure };
    }
    const subject = subjectOf(sheet, nameOfResource(sheet, row), periodId);
    const used = sum({ name: 'Used', subject }, unitOfMixResource(sheet, row), [
      takenByUnits(sheet, row, periodId, asked),
      ...takenBySetUps(sheet, row, periodId, asked),
    ]);
    if (!isKept(row)) return { ...supply, ...supplyOutcome(subject, { ...supply, used }) };
    const isComponent = row.componentId !== null && row.madeWhenShort;
    const made = isComponent ? componentInPeriod(sheet, row.id, periodId, asked) : null;
    const parts = [...leftBefore(sheet, row, periodId, id), supply.available, ...(made === null ? [] : [made])];
    const available = sum({ name: 'There in the period', subject }, used.unit, parts);
    const extra = isComponent || supply.extra === null ? null : extraLeft(sheet, row, periodId, supply.extra, id);
    const premium = isComponent ? null : supply.premium;
    return { premium, extra, ...supplyOutcome(subject, { used, available, extra, premium }), available, made };
  },
};

/** What the period before leaves; nothing of the first. */
function leftBefore(sheet: Sheet, row: RowOf<'mixResource'>, periodId: string, id: string): Figure[] {
  const periods = periodsOfMix(sheet, row.planId);
  const last = periods[periods.indexOf(periodId) - 1];
  if (last === undefined) return [];
  const { left } = sheet.read(mixPeriodResource, id.replace(periodId, last));
  return [atLeastNothing('Left before', subjectOf(sheet, nameOfResource(sheet, row), last), left)];
}

/** What of the extra of something kept was not taken in the periods before. */
function extraLeft(sheet: Sheet, row: RowOf<'mixResource'>, periodId: string, extra: Figure, id: string): Figure {
  const periods = periodsOfMix(sheet, row.planId);
  const taken = periods
    .slice(0, periods.indexOf(periodId))
    .flatMap((each) => sheet.read(mixPeriodResource, id.replace(periodId, each)).extraUsed ?? []);
  if (taken.length === 0) return extra;
  const subject = nameOfResource(sheet, row);
  return difference(
    { name: 'Extra left', subject },
    extra,
    sum({ name: 'Extra taken before', subject }, extra.unit, taken),
  );
}

/** What the units that are made in a period take of a resource, products and components, without their set-ups. */
export function takenByUnits(
  sheet: Sheet,
  row: RowOf<'mixResource'>,
  periodId: string,
  asked: AskedQuantities,
): Figure {
  const subject = subjectOf(sheet, nameOfResource(sheet, row), periodId);
  const taken = (quantity: Figure, perUnit: Figure): Figure[] =>
    perUnit.amount?.isZero() === true || !isMade(quantity)
      ? []
      : [multiplied({ name: 'Used', subject: quantity.subject }, quantity, perUnit)];
  const ofProducts = takersThatMake(sheet, row.id).flatMap(({ lineId, perUnit }) =>
    taken(lineInPeriod(sheet, lineId, periodId, 'made', asked), perUnit),
  );
  const ofComponents = madeResources(sheet, row.planId).flatMap(({ id }) =>
    id === row.id
      ? []
      : taken(componentInPeriod(sheet, id, periodId, asked), sheet.read(mixComponentUse, `${id}@${row.id}`).perUnit),
  );
  return sum({ name: 'Used by units', subject }, unitOfMixResource(sheet, row), [...ofProducts, ...ofComponents]);
}

const takenBySetUps = (sheet: Sheet, row: RowOf<'mixResource'>, periodId: string, asked: AskedQuantities): Figure[] =>
  takersThatMake(sheet, row.id).flatMap(({ lineId, forSetUp }) =>
    forSetUp !== null && isMade(lineInPeriod(sheet, lineId, periodId, 'made', asked)) ? [forSetUp] : [],
  );
