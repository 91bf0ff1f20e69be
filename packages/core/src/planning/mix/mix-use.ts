import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, multiplied, ofMissingRow, quotient, sum } from '../../figure/index.js';
import { batch, type ResourceUse } from '../../production/index.js';
import { type Unit, unit } from '../../quantity/index.js';
import { BATCH, type Calculation, type Sheet } from '../../sheet/index.js';
import { nameInMix, outputInMix } from './mix-product.js';
import { componentsOfMix, useByBook } from './mix-component.js';
import { setUpHead } from './set-up-head.js';
import { nameOfResource, sourceOfResource, unitOfMixResource } from './mix-resource.js';

/** What a product of a mix plan takes of a resource. */
export interface MixUse {
  readonly perUnit: Figure;
  /** Taken once where the product is made at all; null for nothing, or where another line of it takes it. */
  readonly forSetUp: Figure | null;
}

const ONE_BATCH = constant('Set-ups', '1', BATCH, 'once in the plan');

/**
 * What a unit of a product takes of a resource, and what its set-up takes once; the id is "product@resource", each by its row in
 * the mix plan. As typed, else by its bill and steps, components included but for those that are resources of the plan: these have
 * a stock of their own, of which their own sales are taken too. Nothing where neither says so. Where the set-up comes
 * once in the plan, its hours are taken out of those of a unit.
 */
export const mixUse: Calculation<MixUse> = {
  name: 'mixUse',
  meanings: {
    perUnit: 'What one unit takes of the resource.',
    forSetUp: 'What its set-up takes of the resource, once, where it is made at all.',
  },
  work(sheet, id) {
    const [productRowId = '', resourceId = ''] = id.split('@');
    const row = sheet.row('mixProduct', productRowId);
    const resource = sheet.row('mixResource', resourceId);
    if (row === undefined || resource === undefined)
      return { perUnit: ofMissingRow({ name: 'Per unit', unit: unit('h') }, 'a mix plan'), forSetUp: null };
    const subject = `${nameInMix(sheet, row)}, ${nameOfResource(sheet, resource)}`;
    const between: Between = {
      row,
      head: sheet.row('mixProduct', setUpHead(sheet, row)) ?? row,
      subject,
      counted: unitOfMixResource(sheet, resource),
      typed: sheet.rowsOf('mixUse', 'mixProductId', row.id).find((each) => each.resourceId === resource.id),
      byBook: bookUse(sheet, row, resource),
    };
    return { perUnit: perUnitOf(sheet, between), forSetUp: forSetUpOf(sheet, between) };
  },
};

/** A product and a resource, with what is typed of them and what the book says. */
interface Between {
  readonly row: RowOf<'mixProduct'>;
  /** The line that says the set-up of its product. */
  readonly head: RowOf<'mixProduct'>;
  readonly subject: string;
  readonly counted: Unit;
  readonly typed: RowOf<'mixUse'> | undefined;
  readonly byBook: ResourceUse | null;
}

/** What the book says; null where it says nothing. A component that is a resource of the plan is taken from its stock. */
function bookUse(
  sheet: Sheet,
  { productId, planId }: RowOf<'mixProduct'>,
  resource: RowOf<'mixResource'>,
): ResourceUse | null {
  if (productId === null || sourceOfResource(resource) === null) return null;
  if (!componentsOfMix(sheet, planId).includes(productId)) return useByBook(sheet, productId, resource);
  const isItself = resource.componentId === productId;
  const per = unitOfMixResource(sheet, resource).per(unitOfMixResource(sheet, resource));
  return { perUnit: constant('Taken from its stock', isItself ? '1' : '0', per, 'sold as it is'), ofSetUp: null };
}

/** What a set-up takes of the resource, where it comes once in the plan. */
const takenOnce = ({ head, byBook }: Between): Figure | null =>
  head.setUp === 'once in the plan' ? (byBook?.ofSetUp ?? null) : null;

function perUnitOf(sheet: Sheet, between: Between): Figure {
  const { row, subject, counted, typed, byBook } = between;
  const perUnit = counted.per(outputInMix(sheet, row));
  if (typed !== undefined && typed.perUnit !== null)
    return sheet.input('mixUse', typed, 'perUnit', { name: 'Per unit', subject, unit: perUnit });
  if (byBook === null || row.productId === null) return sum({ name: 'Per unit', subject }, perUnit, []);
  const once = takenOnce(between);
  if (once === null) return byBook.perUnit;
  const inUnit = quotient({ name: 'Set-up in a unit', subject }, once, sheet.read(batch, row.productId).good);
  return difference({ name: 'Per unit without the set-up', subject }, byBook.perUnit, inUnit);
}

function forSetUpOf(sheet: Sheet, between: Between): Figure | null {
  const { row, head, subject, counted, typed } = between;
  if (head.id !== row.id) return null;
  const called = { name: 'For the set-up', subject };
  if (typed !== undefined && typed.forSetUp !== null)
    return sheet.input('mixUse', typed, 'forSetUp', { ...called, unit: counted });
  const once = takenOnce(between);
  return once === null ? null : multiplied(called, once, ONE_BATCH);
}
