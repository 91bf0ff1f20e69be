import { difference, type Figure, multiplied, ofMissingRow, sum } from '../../../figure/index.js';
import { unit } from '../../../quantity/index.js';
import { type Calculation, money, type Sheet } from '../../../sheet/index.js';
import { outputInMix, productNameInMix } from '../mix-product.js';
import { linesOfHead, quantitiesAsked } from '../mix-quantities.js';
import { atLeastNothing, nothingOf } from '../mix-resource-outcome.js';
import { mixHolding, mixStockTerms } from './mix-stock-terms.js';
import { periodsOfMix } from './mix-periods.js';
import { lineInPeriod, subjectOf } from './period-quantity.js';

/** A product of a plan over one of its periods. */
export interface MixStock {
  readonly opening: Figure;
  readonly made: Figure;
  /** In all its channels. */
  readonly sold: Figure;
  /** Below zero where more is sold than there is. */
  readonly closing: Figure;
  readonly holding: Figure;
  /** What of it was to be sold by now, and is not; zero where it keeps. */
  readonly tooOld: Figure;
  /** What the plan asks for at its end and there is not; zero in the periods before. */
  readonly lacking: Figure;
}

/**
 * A product of a mix plan over one of its periods; the id is "line.period", or "line.period@12|30|0", by the line that says its
 * set-up. Closing = opening + made - sold; holding cost = closing, where there is any, x what a unit costs to hold. What is made
 * in a period is to be sold in it or in so many more; opening stock counts as made before the first.
 */
export const mixStock: Calculation<MixStock> = {
  name: 'mixStock',
  meanings: {
    opening: 'How much of it there is when the period begins.',
    made: 'How much of it is made in the period.',
    sold: 'How much of it is sold in the period, in all channels.',
    closing: 'How much of it is left when the period ends; below zero where more is sold than there is.',
    holding: 'What holding that costs: storage and interest.',
    tooOld: 'How much of it is past its shelf life: it was to be sold by now and is not.',
    lacking: 'How much of it is missing at the end of the last period.',
  },
  work(sheet, id) {
    const { of, quantities: asked } = quantitiesAsked(sheet, id);
    const [lineId = '', periodId = ''] = of.split('.');
    const row = sheet.row('mixProduct', lineId);
    if (row === undefined) return gone(sheet);
    const counted = outputInMix(sheet, row);
    const subject = subjectOf(sheet, productNameInMix(sheet, row), periodId);
    const periods = periodsOfMix(sheet, row.planId);
    const at = periods.indexOf(periodId);
    const stockAt = (period: number) => sheet.read(mixStock, id.replace(periodId, periods[period] ?? ''));
    const terms = sheet.read(mixStockTerms, lineId);
    const opening = at <= 0 ? terms.opening : stockAt(at - 1).closing;
    const made = lineInPeriod(sheet, lineId, periodId, 'made', asked);
    const lines = linesOfHead(sheet, row);
    const sold = sum(
      { name: 'Sold', subject },
      counted,
      lines.map((line) => lineInPeriod(sheet, line.id, periodId, 'sold', asked)),
    );
    const there = sum({ name: 'There', subject }, counted, [opening, made]);
    const closing = difference({ name: 'Closing stock', subject }, there, sold);
    const above = (name: string, all: Figure, limit: Figure) =>
      atLeastNothing(name, subject, difference({ name: `${name}, difference`, subject }, all, limit));
    const held = atLeastNothing('Held', subject, closing);
    const isLast = at === periods.length - 1;
    return {
      opening,
      made,
      sold,
      closing,
      holding: multiplied({ name: 'Holding', subject }, held, sheet.read(mixHolding, of).perUnit),
      tooOld: expires(row.keepsFor, at)
        ? above('Past its shelf life', closing, freshOf(row.keepsFor, at))
        : nothingOf(closing),
      lacking: isLast ? above('Lacking', terms.closing, closing) : nothingOf(closing),
    };

    /** What of the stock was made lately enough. */
    function freshOf(keepsFor: number, period: number): Figure {
      const made = periods.slice(Math.max(0, period - keepsFor + 1), period + 1);
      return sum(
        { name: 'Made lately', subject },
        counted,
        keepsFor === 0 ? [] : made.map((each) => lineInPeriod(sheet, lineId, each, 'made', asked)),
      );
    }
  },
};

/** True where something of a product could be too old at the end of a period, the first being 0: opening stock counts as made before it. */
export const expires = (keepsFor: number | null, period: number): keepsFor is number =>
  keepsFor !== null && period + 1 >= Math.max(1, keepsFor);

function gone(sheet: Sheet): MixStock {
  const figure = ofMissingRow({ name: 'Stock', unit: unit('each') }, 'a mix plan');
  const holding = ofMissingRow({ name: 'Holding', unit: money(sheet) }, 'a mix plan');
  return { opening: figure, made: figure, sold: figure, closing: figure, holding, tooOld: figure, lacking: figure };
}
