import {
  constant,
  difference,
  type Figure,
  isWhole,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
  smallest,
  sum,
} from '../figure/index.js';
import { NUMBER } from '../quantity/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { absorbedMonth } from './absorbed-month.js';
import { overheadGap } from './gaps.js';

/** Where over- or under-absorbed overhead of a month goes: added above zero, taken off below. */
export interface ProratedOverhead {
  /** What is shared over stock and cost of sales. */
  readonly shared: Figure;
  /** What goes to cost of sales whole: fixed overhead that low production left unabsorbed. */
  readonly toCostOfSalesWhole: Figure;
  readonly toProgress: Figure;
  readonly toStock: Figure;
  readonly toCostOfSales: Figure;
}

/**
 * Over- or under-absorbed overhead of a month prorated over work in progress, finished stock and cost of sales by the absorbed
 * overhead of the month that lies in each; what is in cost of sales is the rest. Under-absorption from low production is never
 * put into stock: it goes to cost of sales whole (IAS 2.13); over-absorption takes its part off stock. The three sum to actual
 * overhead - absorbed overhead. Gap: more is said to lie in stock than was absorbed. Source: proration, Horngren, Datar & Rajan,
 * Cost Accounting.
 */
export const proratedOverhead: Calculation<ProratedOverhead> = {
  name: 'proratedOverhead',
  meanings: {
    shared: 'What is shared over stock and cost of sales: all but what low production left unabsorbed.',
    toCostOfSalesWhole: 'What low production left unabsorbed: it goes to cost of sales whole (IAS 2.13).',
    toProgress: 'What is added to work in progress; below zero it is taken off.',
    toStock: 'What is added to finished stock; below zero it is taken off.',
    toCostOfSales: 'What is added to cost of sales; below zero it is taken off.',
  },
  work(sheet, id) {
    const row = sheet.row('overheadActual', id);
    if (row === undefined) return gone(sheet);
    const { absorbed, difference: over, volume } = sheet.read(absorbedMonth, id);
    const none = constant('None', '0', over.unit, 'nothing was left unabsorbed by low production');
    const ofLowVolume = smallest('Left by low production', [volume, none], 'only where less was worked than budgeted');
    const toShare = difference('Over (+) or under (−), shared', over, ofLowVolume);
    const lying = (field: 'absorbedInProgress' | 'absorbedInStock', name: string) =>
      sheet.input('overheadActual', row, field, { name, unit: absorbed.unit });
    const inProgress = lying('absorbedInProgress', 'In work in progress');
    const inStock = lying('absorbedInStock', 'In finished stock');
    const rest = difference('In cost of sales', absorbed, sum('In stock', absorbed.unit, [inProgress, inStock]));
    const place = { kind: 'overheadActual', id, field: 'absorbedInStock' } as const;
    if (isWhole(rest) && rest.amount.isNegative() && !rest.amount.isZero()) {
      const leaf = { name: 'Prorated overhead', unit: over.unit };
      const tooMuch = missing(leaf, overheadGap('more-in-stock-than-absorbed', place), [rest]);
      return {
        shared: added(toShare),
        toCostOfSalesWhole: added(ofLowVolume),
        toProgress: tooMuch,
        toStock: tooMuch,
        toCostOfSales: tooMuch,
      };
    }
    const part = (name: string, of: Figure) => {
      if (absorbed.amount?.isZero()) return none;
      return added(multiplied(name, toShare, quotient(`${name}, its part`, of, absorbed)), name);
    };
    const toProgress = part('To work in progress', inProgress);
    const toStock = part('To finished stock', inStock);
    const all = added(over);
    return {
      shared: added(toShare),
      toCostOfSalesWhole: added(ofLowVolume),
      toProgress,
      toStock,
      toCostOfSales: difference('To cost of sales', all, sum('To stock', over.unit, [toProgress, toStock])),
    };
  },
};

const OPPOSITE = constant('The other way', '-1', NUMBER, 'over-absorbed is taken off, under-absorbed added');

/** What is over-absorbed is taken off costs, and what is under-absorbed added to them. */
const added = (over: Figure, name = `${over.name}, as costs`): Figure => multiplied(name, over, OPPOSITE);

function gone(sheet: Sheet): ProratedOverhead {
  const figure = ofMissingRow(
    { name: 'Prorated overhead', unit: money(sheet).per(MONTH) },
    'a month of actual overhead',
  );
  return { shared: figure, toCostOfSalesWhole: figure, toProgress: figure, toStock: figure, toCostOfSales: figure };
}
