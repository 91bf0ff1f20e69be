import { constant, difference, type Figure, multiplied, sum } from '../../../figure/index.js';
import { money, OUTPUT, type Sheet } from '../../../sheet/index.js';
import { madeResources } from '../mix-component.js';
import { mixProductTerms } from '../mix-product.js';
import { headsOfMix, isMade, productsOfMix, resourcesOfMix, withQuantities } from '../mix-quantities.js';
import { mixPeriodResource, takenByUnits } from './mix-period-resource.js';
import { periodsOfMix } from './mix-periods.js';
import { mixStock } from './mix-stock.js';
import { componentPrice, mixHolding, mixStockTerms } from './mix-stock-terms.js';
import { type AskedQuantities, componentInPeriod, lineInPeriod } from './period-quantity.js';

/** What a mix adds up to, before its goal is looked at. */
export interface MixSums {
  /** Before set-ups, extra and holding. */
  readonly contribution: Figure;
  readonly setUps: Figure;
  readonly extra: Figure;
  readonly holding: Figure;
  readonly revenue: Figure;
  readonly units: Figure;
  readonly cost: Figure;
}

const A_UNIT = (of: Figure['unit']) => constant('Counted as', '1', OUTPUT.per(of), 'each unit counts as one');

/** Units of any product, counted together. */
export const countedAsUnits = (quantity: Figure): Figure =>
  multiplied({ name: 'Units', subject: quantity.subject }, quantity, A_UNIT(quantity.unit));

/**
 * What a plan of several periods adds up to: net proceeds of what is sold - making cost of what is made, a component when it is made
 * and not when it is taken; set-ups once for each period in which a product is made; holding on what is in stock at the end of
 * each period. Stock that was there before is sunk.
 */
export function scheduleSums(sheet: Sheet, planId: string, asked: AskedQuantities): MixSums {
  const amount = money(sheet);
  const [made, sold] = [quantitiesIn(sheet, planId, 'made', asked), quantitiesIn(sheet, planId, 'sold', asked)];
  const times = (name: string, all: typeof made, perUnit: (id: string) => Figure) =>
    all.map(({ id, quantity }) => multiplied({ name, subject: quantity.subject }, quantity, perUnit(id)));
  const terms = (id: string) => sheet.read(mixStockTerms, id);
  const making = sum('Making', amount, [
    ...times('Making cost', made, (id) => terms(id).makingCost),
    ...componentsAhead(sheet, planId, asked),
  ]);
  const setUps = sum(
    'Set-ups',
    amount,
    made.flatMap(({ id }) => sheet.read(mixProductTerms, id).setUpCost ?? []),
  );
  const extra = sum('Extra', amount, extraInPeriods(sheet, planId, asked));
  const holding = sum('Holding', amount, [
    ...productsHeld(sheet, planId, asked),
    ...componentsHeld(sheet, planId, asked),
  ]);
  const value = sum(
    'Net proceeds',
    amount,
    times('Net proceeds', sold, (id) => terms(id).netProceeds),
  );
  const selling = times('Selling cost', sold, (id) => terms(id).sellingCost);
  const revenue = times('Net revenue', sold, (id) => sheet.read(mixProductTerms, id).revenue);
  return {
    setUps,
    extra,
    holding,
    contribution: difference('Contribution', value, making),
    revenue: sum('Net revenue', amount, revenue),
    units: sum(
      'Units',
      OUTPUT,
      sold.map(({ quantity }) => countedAsUnits(quantity)),
    ),
    cost: sum('Cost', amount, [making, sum('Selling', amount, selling), setUps, extra, holding]),
  };
}

/** What is made of the products of a plan, or sold of its lines, in each period in which anything is. */
function quantitiesIn(sheet: Sheet, planId: string, of: 'made' | 'sold', asked: AskedQuantities) {
  const lines = of === 'made' ? headsOfMix(sheet, planId) : productsOfMix(sheet, planId);
  return lines.flatMap(({ id }) =>
    periodsOfMix(sheet, planId).flatMap((periodId) => {
      const quantity = lineInPeriod(sheet, id, periodId, of, asked);
      return isMade(quantity) ? [{ id, quantity }] : [];
    }),
  );
}

const extraInPeriods = (sheet: Sheet, planId: string, asked: AskedQuantities): Figure[] =>
  periodsOfMix(sheet, planId).flatMap((periodId) =>
    resourcesOfMix(sheet, planId).flatMap(
      ({ id }) => sheet.read(mixPeriodResource, withQuantities(`${id}.${periodId}`, asked)).extraCost ?? [],
    ),
  );

const productsHeld = (sheet: Sheet, planId: string, asked: AskedQuantities): Figure[] =>
  headsOfMix(sheet, planId).flatMap(({ id }) =>
    periodsOfMix(sheet, planId).map(
      (periodId) => sheet.read(mixStock, withQuantities(`${id}.${periodId}`, asked)).holding,
    ),
  );

/** By component and period: what is made of it less what products take, whose making cost holds it already. */
function componentsAhead(sheet: Sheet, planId: string, asked: AskedQuantities): Figure[] {
  return componentPeriods(sheet, planId).flatMap(({ component, periodId }) => {
    const price = componentPrice(sheet, component);
    if (price === null) return [];
    const made = componentInPeriod(sheet, component.id, periodId, asked);
    const taken = takenByUnits(sheet, component, periodId, asked);
    const ahead = difference({ name: 'Made ahead', subject: made.subject }, made, taken);
    return [multiplied({ name: 'Components made ahead', subject: made.subject }, ahead, price)];
  });
}

function componentsHeld(sheet: Sheet, planId: string, asked: AskedQuantities): Figure[] {
  return componentPeriods(sheet, planId).flatMap(({ component, periodId }) => {
    const { made, left } = sheet.read(mixPeriodResource, withQuantities(`${component.id}.${periodId}`, asked));
    if (made === null || left.amount === null || !isMade(left)) return [];
    return [
      multiplied(
        { name: 'Holding', subject: made.subject },
        left,
        sheet.read(mixHolding, `${component.id}.${periodId}`).perUnit,
      ),
    ];
  });
}

const componentPeriods = (sheet: Sheet, planId: string) =>
  madeResources(sheet, planId).flatMap((component) =>
    periodsOfMix(sheet, planId).map((periodId) => ({ component, periodId })),
  );
