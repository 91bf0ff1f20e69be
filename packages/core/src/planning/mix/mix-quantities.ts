import { isDecimalText, type RowOf } from '@nuvar/book';
import { choice, constant, type Figure, sum } from '../../figure/index.js';
import { isPositive } from '../../number/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { nameInMix, outputInMix } from './mix-product.js';
import { periodsOfMix } from './periods/mix-periods.js';
import { headsMade, setUpHead } from './set-up-head.js';
import { type AskedQuantities, lineInPeriod } from './periods/period-quantity.js';

/** The products of a mix plan in their order. */
export const productsOfMix = (sheet: Sheet, planId: string): readonly RowOf<'mixProduct'>[] =>
  sheet.rowsOf('mixProduct', 'planId', planId);

/** The lines by which the products of a mix plan are made: of a product in several channels the one that says its set-up. */
export const headsOfMix = (sheet: Sheet, planId: string): readonly RowOf<'mixProduct'>[] =>
  productsOfMix(sheet, planId).filter((line) => setUpHead(sheet, line) === line.id);

/** The lines in which a product is sold, by the line by which it is made. */
export const linesOfHead = (sheet: Sheet, { id, planId }: RowOf<'mixProduct'>): readonly RowOf<'mixProduct'>[] =>
  productsOfMix(sheet, planId).filter((line) => setUpHead(sheet, line) === id);

/** The resources of a mix plan in their order. */
export const resourcesOfMix = (sheet: Sheet, planId: string): readonly RowOf<'mixResource'>[] =>
  sheet.rowsOf('mixResource', 'planId', planId);

/** The id of an outcome under other quantities than those typed: one for each product of the plan, in their order. */
export const withQuantities = (id: string, quantities: readonly string[] | null): string =>
  quantities === null ? id : `${id}@${quantities.join('|')}`;

/** What is asked for of a mix, and its quantities by the places of its slots; null for those tried by hand. */
interface Asked {
  readonly of: string;
  readonly quantities: AskedQuantities;
}

const askedById: Calculation<Asked> = {
  name: 'mixAsked',
  meanings: {},
  work(_sheet, id) {
    const [of = '', stated] = id.split('@');
    return { of, quantities: stated === undefined ? null : stated.split('|') };
  },
};

/** An id such as "plan" or "plan@12|30.5|0". */
export const quantitiesAsked = (sheet: Sheet, id: string): Asked => sheet.read(askedById, id);

/** What a mix makes of its lines, worked out once for all of its resources. */
export interface MadeInMix {
  /** By line. */
  readonly quantities: readonly Figure[];
  /** The lines whose set-up is paid. */
  readonly heads: ReadonlySet<string>;
}

const madeInMix: Calculation<MadeInMix> = {
  name: 'mixMade',
  meanings: {},
  work(sheet, id) {
    const { of: planId, quantities: asked } = quantitiesAsked(sheet, id);
    const quantities = quantitiesOf(sheet, planId, asked);
    const isMadeAt = (index: number) => isMade(quantities[index] as Figure);
    return { quantities, heads: headsMade(sheet, productsOfMix(sheet, planId), isMadeAt) };
  },
};

/** What a mix makes of its lines, by hand or as asked for. */
export const madeOf = (sheet: Sheet, planId: string, asked: AskedQuantities): MadeInMix =>
  sheet.read(madeInMix, withQuantities(planId, asked));

/** How much there is of each line: as typed, or as asked for; in a plan of several periods what is sold in all of them. */
function quantitiesOf(sheet: Sheet, planId: string, asked: AskedQuantities): readonly Figure[] {
  const periods = periodsOfMix(sheet, planId);
  return productsOfMix(sheet, planId).map((row, index) => {
    const leaf = { name: 'Quantity', subject: nameInMix(sheet, row), unit: outputInMix(sheet, row) };
    if (periods.length > 0) {
      const sold = periods.map((periodId) => lineInPeriod(sheet, row.id, periodId, 'sold', asked));
      return sum({ name: 'Sold', subject: leaf.subject }, leaf.unit, sold);
    }
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
