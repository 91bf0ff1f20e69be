import type { RowOf } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  largest,
  multiplied,
  ofMissingRow,
  smallest,
  sum,
} from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { madeResources, mixComponentUse } from './mix-component.js';
import { isMade, madeOf, quantitiesAsked, withQuantities } from './mix-quantities.js';
import { mixResourceTerms, type MixResourceTerms, nameOfResource, unitOfMixResource } from './mix-resource.js';
import { mixTakers } from './mix-takers.js';

/** What a mix takes of a resource. */
export interface MixResourceOutcome {
  readonly used: Figure;
  /** Available, with the extra that is used, less used; below zero where it runs short with all extra. */
  readonly left: Figure;
  /** Of what is over, what is had as extra; null where there is none to be had. */
  readonly extraUsed: Figure | null;
  readonly extraCost: Figure | null;
  /** What of a component is made beyond its stock; null for what is not made. */
  readonly made: Figure | null;
  /** What there is not, extra counted; zero where it suffices. */
  readonly short: Figure;
}

/**
 * What a mix takes of a resource = sum of quantity x use per unit, and the use of the set-ups of all that is made; the id is that
 * of the resource, or "resource@12|30|0". Extra used = what is over, at most the extra there is; where extra is cheaper than the
 * normal price, what is used, at most that. Its cost = that x the premium. Made of a component = what is taken beyond its stock;
 * what its making takes is used of the other resources.
 */
export const mixResourceOutcome: Calculation<MixResourceOutcome> = {
  name: 'mixResourceUsed',
  meanings: {
    used: 'How much of the resource this mix takes.',
    left: 'How much is left of what there is, with the extra that is used; below zero where it runs short.',
    extraUsed: 'How much of the extra this mix takes.',
    extraCost: 'What that extra costs above its normal price.',
    made: 'How much of the component is made beyond its stock.',
    short: 'How much this mix lacks, with all extra.',
  },
  work(sheet, id) {
    const { of: resourceId, quantities: asked } = quantitiesAsked(sheet, id);
    const row = sheet.row('mixResource', resourceId);
    if (row === undefined) {
      const figure = ofMissingRow({ name: 'Used', unit: unit('each') }, 'a mix plan');
      return { used: figure, left: figure, extraUsed: null, extraCost: null, made: null, short: figure };
    }
    const subject = nameOfResource(sheet, row);
    const counted = unitOfMixResource(sheet, row);
    const { quantities, heads } = madeOf(sheet, row.planId, asked);
    const takes = sheet.read(mixTakers, row.id).flatMap(({ place, lineId, perUnit, forSetUp }) => {
      const quantity = quantities[place] as Figure;
      const called = { name: 'Used', subject: quantity.subject };
      const isTaken = isMade(quantity) && perUnit.amount?.isZero() !== true;
      const taken = isTaken ? [multiplied(called, quantity, perUnit)] : [];
      return forSetUp === null || !heads.has(lineId) ? taken : [...taken, forSetUp];
    });
    const used = sum({ name: 'Used', subject }, counted, [...takes, ...takenByComponents(sheet, row, asked)]);
    const { available, extra, premium } = sheet.read(mixResourceTerms, row.id);
    return row.componentId !== null && row.madeWhenShort
      ? componentOutcome(subject, used, available)
      : supplyOutcome(subject, { used, available, extra, premium });
  },
};

/** None of it. */
export const nothingOf = ({ unit: counted }: Figure) => constant('Nothing', '0', counted, 'definition');

/** What is above, and never less than nothing. */
export const atLeastNothing = (name: string, subject: string, of: Figure): Figure =>
  largest({ name, subject }, [of, nothingOf(of)], 'never less than nothing');

const overOf = (subject: string, used: Figure, available: Figure): Figure =>
  atLeastNothing('Over', subject, difference({ name: 'Used above what there is', subject }, used, available));

/** Of a component, what is taken beyond its stock is made. */
function componentOutcome(subject: string, used: Figure, available: Figure): MixResourceOutcome {
  const made = overOf(subject, used, available);
  const there = sum({ name: 'There and made', subject }, used.unit, [available, made]);
  const left = difference({ name: 'Left', subject }, there, used);
  return { used, left, extraUsed: null, extraCost: null, made, short: nothingOf(used) };
}

/** What is used of a resource, how much of it there is, and what more of it costs. */
interface Supply extends Pick<MixResourceTerms, 'available' | 'extra' | 'premium'> {
  readonly used: Figure;
}

/** What is left of a resource, how much of its extra is used, and what it lacks with all of that. */
export function supplyOutcome(subject: string, { used, available, extra, premium }: Supply): MixResourceOutcome {
  const over = overOf(subject, used, available);
  const left = (there: Figure) => difference({ name: 'Left', subject }, there, used);
  if (extra === null || premium === null)
    return { used, left: left(available), extraUsed: null, extraCost: null, made: null, short: over };
  const isCheaper = premium.amount !== null && premium.amount.isNegative() && !premium.amount.isZero();
  const extraUsed = isCheaper
    ? smallest({ name: 'Extra used', subject }, [used, extra], 'used first, since it is cheaper than the normal price')
    : smallest({ name: 'Extra used', subject }, [over, extra], 'at most what can be had');
  return {
    used,
    extraUsed,
    made: null,
    left: left(sum({ name: 'Available with extra', subject }, used.unit, [available, extraUsed])),
    extraCost: multiplied({ name: 'Cost of extra', subject }, extraUsed, premium),
    short: atLeastNothing('Short', subject, difference({ name: 'Lacking', subject }, over, extra)),
  };
}

/** What making components beyond their stock takes of a resource. */
function takenByComponents(sheet: Sheet, row: RowOf<'mixResource'>, asked: readonly string[] | null): Figure[] {
  return madeResources(sheet, row.planId).flatMap((component) => {
    if (component.id === row.id) return [];
    const { perUnit } = sheet.read(mixComponentUse, `${component.id}@${row.id}`);
    if (perUnit.amount?.isZero() === true) return [];
    const { made } = sheet.read(mixResourceOutcome, withQuantities(component.id, asked));
    if (made === null || made.amount?.isZero() === true) return [];
    return [multiplied({ name: 'Made beyond its stock', subject: nameOfResource(sheet, component) }, made, perUnit)];
  });
}
