import type { RowOf } from '@nuvar/book';
import { type Figure, ofMissingRow } from '../../figure/index.js';
import { type ResourceUse, resourceUse } from '../../production/index.js';
import { unit } from '../../quantity/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { sourceOfResource } from './mix-resource.js';

/** The components that are resources of a mix plan, in their order: each has a stock that is used before more of it is made. */
export const componentsOfMix = (sheet: Sheet, planId: string): readonly string[] =>
  sheet.rowsOf('mixResource', 'planId', planId).flatMap(({ componentId }) => componentId ?? []);

/** The resources of a plan of which more is made where their stock runs out. */
export const madeResources = (sheet: Sheet, planId: string): readonly RowOf<'mixResource'>[] =>
  sheet
    .rowsOf('mixResource', 'planId', planId)
    .filter(({ componentId, madeWhenShort }) => componentId !== null && madeWhenShort);

/** What a unit of a product takes of a resource of a plan by the book, without what the components of the plan take themselves. */
export function useByBook(sheet: Sheet, productId: string, resource: RowOf<'mixResource'>): ResourceUse {
  const apart = [...new Set(componentsOfMix(sheet, resource.planId))].sort().join(',');
  const asked = `${productId}@${sourceOfResource(resource) ?? ''}`;
  return sheet.read(resourceUse, apart === '' ? asked : `${asked}@${apart}`);
}

/**
 * What making a unit of a component of a plan takes of a resource of it; the id is "component@resource", by their rows among the
 * resources. What other components of the plan take themselves is left to them.
 */
export const mixComponentUse: Calculation<{ perUnit: Figure }> = {
  name: 'mixComponentUse',
  meanings: { perUnit: 'What making one of the component takes of the resource.' },
  work(sheet, id) {
    const [componentRowId = '', resourceId = ''] = id.split('@');
    const component = sheet.row('mixResource', componentRowId);
    const resource = sheet.row('mixResource', resourceId);
    if (component === undefined || component.componentId === null || resource === undefined)
      return { perUnit: ofMissingRow({ name: 'Per unit', unit: unit('h') }, 'a mix plan') };
    return { perUnit: useByBook(sheet, component.componentId, resource).perUnit };
  },
};
