import { isDecimalText, type RowOf } from '@nuvar/book';
import { choice, constant, type Figure } from '../../figure/index.js';
import { isPositive } from '../../number/index.js';
import type { Sheet } from '../../sheet/index.js';
import { nameInMix, outputInMix } from './mix-product.js';

/** The products of a mix plan in their order. */
export const productsOfMix = (sheet: Sheet, planId: string): readonly RowOf<'mixProduct'>[] =>
  sheet.rowsOf('mixProduct', 'planId', planId);

/** The resources of a mix plan in their order. */
export const resourcesOfMix = (sheet: Sheet, planId: string): readonly RowOf<'mixResource'>[] =>
  sheet.rowsOf('mixResource', 'planId', planId);

/** The id of an outcome under other quantities than those typed: one for each product of the plan, in their order. */
export const withQuantities = (id: string, quantities: readonly string[] | null): string =>
  quantities === null ? id : `${id}@${quantities.join('|')}`;

/** An id such as "plan" or "plan@12|30.5|0". */
export function askedOf(id: string): { readonly of: string; readonly quantities: readonly string[] | null } {
  const [of = '', stated] = id.split('@');
  return { of, quantities: stated === undefined ? null : stated.split('|') };
}

/** How much is made of each product: as typed, or as asked for. */
export function quantitiesOf(sheet: Sheet, planId: string, asked: readonly string[] | null): readonly Figure[] {
  return productsOfMix(sheet, planId).map((row, index) => {
    const leaf = { name: 'Quantity', subject: nameInMix(sheet, row), unit: outputInMix(sheet, row) };
    if (asked === null) return sheet.input('mixProduct', row, 'quantity', leaf);
    const amount = asked[index] ?? '0';
    return choice(
      leaf,
      constant('Quantity', isDecimalText(amount) ? amount : '0', leaf.unit, 'as asked for'),
      'another mix',
    );
  });
}

/** True of a quantity of which anything is made. */
export const isMade = ({ amount }: Figure) => amount !== null && isPositive(amount);
