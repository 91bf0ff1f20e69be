import type { RowOf } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  sum,
} from '../../../figure/index.js';
import { NUMBER, PERCENT, unit } from '../../../quantity/index.js';
import { type Calculation, MONTH, money, type Sheet } from '../../../sheet/index.js';
import { mixMakingCost, mixProductTerms, nameInMix, outputInMix, productNameInMix } from '../mix-product.js';
import { mixResourceTerms, nameOfResource } from '../mix-resource.js';
import { setUpHead } from '../set-up-head.js';
import { mixPeriodLength } from './mix-periods.js';

/** What a plan of several periods knows of one of its lines besides its terms. */
export interface MixStockTerms {
  /** What changes with making a unit. */
  readonly makingCost: Figure;
  /** What selling a unit brings: what it leaves, and what making it has cost. */
  readonly netProceeds: Figure;
  /** What changes with selling a unit that is made: fees, postage and packing. */
  readonly sellingCost: Figure;
  readonly opening: Figure;
  /** In stock after the last period at least. */
  readonly closing: Figure;
}

/**
 * The terms of a line of a mix plan of several periods; the id is that of the line. Cost is charged when a unit is made, and what
 * it leaves is taken when it is sold: net proceeds = contribution + making cost, so that both together are its contribution. The
 * making cost and the stock of a product in several channels are those of the line that says its set-up. Stock at the end is at
 * least the opening stock where nothing is typed.
 */
export const mixStockTerms: Calculation<MixStockTerms> = {
  name: 'mixStockTerms',
  meanings: {
    makingCost: 'What changes with making one unit, without what selling it costs.',
    netProceeds: 'What selling one unit brings after fees and postage: its contribution and what making it has cost.',
    sellingCost: 'What changes with selling one unit that is made.',
    opening: 'How much of it there is before the first period.',
    closing: 'How much of it there must be after the last period.',
  },
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    const head = row === undefined ? undefined : (sheet.row('mixProduct', setUpHead(sheet, row)) ?? row);
    const { contribution, variableCost } = sheet.read(mixProductTerms, id);
    const makingCost = sheet.read(mixMakingCost, head?.id ?? id).perUnit;
    const subject = row === undefined ? '' : nameInMix(sheet, row);
    const terms = {
      makingCost,
      netProceeds: sum({ name: 'Net proceeds', subject }, contribution.unit, [contribution, makingCost]),
      sellingCost: difference({ name: 'Selling cost', subject }, variableCost, makingCost),
    };
    if (head === undefined) return { ...terms, opening: NONE, closing: NONE };
    const called = productNameInMix(sheet, head);
    const stock = (field: 'openingStock' | 'closingStock', name: string) =>
      sheet.input('mixProduct', head, field, { name, subject: called, unit: outputInMix(sheet, head) });
    const opening = stock('openingStock', 'Opening stock');
    return {
      ...terms,
      opening,
      closing: head.closingStock === null ? opening : stock('closingStock', 'Closing stock'),
    };
  },
};

const NONE = constant('Stock', '0', NUMBER, 'gone');
const A_YEAR = constant('Months of a year', '12', MONTH, 'definition');

/**
 * What a unit in stock at the end of a period costs for that period = storage + interest x making cost x months / 12, on what
 * changes with making it and never on full cost; the id is "line.period", or "resource.period" of a component, which has no
 * storage of its own.
 */
export const mixHolding: Calculation<{ readonly perUnit: Figure }> = {
  name: 'mixHolding',
  meanings: { perUnit: 'What one unit in stock at the end of the period costs: storage and interest.' },
  work(sheet, id) {
    const [rowId = '', periodId = ''] = id.split('.');
    const line = sheet.row('mixProduct', rowId);
    if (line !== undefined) {
      const subject = productNameInMix(sheet, line);
      const perUnit = money(sheet).per(outputInMix(sheet, line));
      const storage = sheet.input('mixProduct', line, 'storageCost', { name: 'Storage', subject, unit: perUnit });
      const interest = interestOn(sheet, line.planId, periodId, sheet.read(mixStockTerms, rowId).makingCost, subject);
      return { perUnit: sum({ name: 'Holding cost', subject }, perUnit, [storage, ...interest]) };
    }
    const component = sheet.row('mixResource', rowId);
    const price = component === undefined ? null : componentPrice(sheet, component);
    if (component === undefined || price === null)
      return { perUnit: ofMissingRow({ name: 'Holding cost', unit: money(sheet).per(unit('each')) }, 'a mix plan') };
    const subject = nameOfResource(sheet, component);
    const interest = interestOn(sheet, component.planId, periodId, price, subject);
    return { perUnit: sum({ name: 'Holding cost', subject }, price.unit, interest) };
  },
};

/** What changes with making a component of a plan, which the cost of each product that takes it holds; null where nothing does. */
export const componentPrice = (sheet: Sheet, { id }: Pick<RowOf<'mixResource'>, 'id'>): Figure | null =>
  sheet.read(mixResourceTerms, id).normalPrice;

/** The interest on a unit for a period; none where none is charged, so that the length of the period need not be known then. */
function interestOn(sheet: Sheet, planId: string, periodId: string, cost: Figure, subject: string): Figure[] {
  const plan = sheet.row('mixPlan', planId);
  if (plan === undefined || plan.interestPercent === '0') return [];
  const leaf = { name: 'Interest a year', subject: plan.name, unit: PERCENT };
  const rate = sheet.input('mixPlan', plan, 'interestPercent', leaf);
  const part = quotient('Part of a year', sheet.read(mixPeriodLength, periodId).months, A_YEAR);
  const ofYear = percentOf({ name: 'Interest a year on a unit', subject }, rate, cost);
  return [multiplied({ name: 'Interest', subject }, ofYear, part)];
}
