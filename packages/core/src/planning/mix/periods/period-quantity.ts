import { isDecimalText } from '@nuvar/book';
import { choice, constant, type Figure } from '../../../figure/index.js';
import type { Sheet } from '../../../sheet/index.js';
import { nameInMix, outputInMix } from '../mix-product.js';
import { nameOfResource, unitOfMixResource } from '../mix-resource.js';
import { mixSlotPlaces, productInPeriod, resourceInPeriod, slotId } from './mix-slots.js';

/** Other quantities than those tried by hand, by the places of their slots; null for those tried by hand. */
export type AskedQuantities = readonly string[] | null;

const NAMES = { made: 'Made', sold: 'Sold', component: 'Made' } as const;

/** How much of a line is made or sold in one period: as tried by hand, or as asked for. */
export function lineInPeriod(
  sheet: Sheet,
  productId: string,
  periodId: string,
  of: 'made' | 'sold',
  asked: AskedQuantities,
): Figure {
  const line = sheet.row('mixProduct', productId);
  if (line === undefined) return constant(NAMES[of], '0', outputInMix(sheet, GONE), 'gone');
  const leaf = {
    name: NAMES[of],
    subject: subjectOf(sheet, nameInMix(sheet, line), periodId),
    unit: outputInMix(sheet, line),
  };
  const row = productInPeriod(sheet, productId, periodId);
  if (asked !== null) return askedFigure(sheet, line.planId, slotId(productId, periodId, of), leaf, asked);
  return row === undefined ? nothing(leaf) : sheet.input('mixPeriodProduct', row, of, leaf);
}

const GONE = { productId: null } as Parameters<typeof outputInMix>[1];

/** How much of a component is made in one period. */
export function componentInPeriod(sheet: Sheet, resourceId: string, periodId: string, asked: AskedQuantities): Figure {
  const resource = sheet.row('mixResource', resourceId);
  if (resource === undefined) return constant('Made', '0', outputInMix(sheet, GONE), 'gone');
  const subject = subjectOf(sheet, nameOfResource(sheet, resource), periodId);
  const leaf = { name: 'Made', subject, unit: unitOfMixResource(sheet, resource) };
  const row = resourceInPeriod(sheet, resourceId, periodId);
  if (asked !== null)
    return askedFigure(sheet, resource.planId, slotId(resourceId, periodId, 'component'), leaf, asked);
  return row === undefined ? nothing(leaf) : sheet.input('mixPeriodResource', row, 'made', leaf);
}

/** Something in one of the periods, as figures and limits call it. */
export const subjectOf = (sheet: Sheet, name: string, periodId: string): string =>
  `${name}, ${sheet.row('mixPeriod', periodId)?.name ?? ''}`;

type Leaf = Parameters<Sheet['input']>[3] & { readonly subject: string };

const nothing = (leaf: Leaf): Figure =>
  choice(leaf, constant(leaf.name, '0', leaf.unit, 'nothing entered'), 'nothing entered');

function askedFigure(sheet: Sheet, planId: string, id: string, leaf: Leaf, asked: readonly string[]): Figure {
  const amount = asked[sheet.read(mixSlotPlaces, planId).get(id) ?? -1] ?? '0';
  const stated = constant('Quantity', isDecimalText(amount) ? amount : '0', leaf.unit, 'as asked for');
  return choice(leaf, stated, 'another mix');
}
