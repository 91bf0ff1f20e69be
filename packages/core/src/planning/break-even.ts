import { choice, type Figure, type Gap, missing, multiplied, quotient, rounded, sum } from '../figure/index.js';
import { minorDigits, minorUnit } from '../money/index.js';
import { compared, type Decimal, fixedDigits, isPositive, ONE } from '../number/index.js';
import { cashCosts, openDays } from '../overhead/index.js';
import { plannedAt, plannedUnits } from '../production/index.js';
import { saleTerms, unitBehaviour } from '../selling/index.js';
import { bookCurrency, type Calculation, numberIn, type Sheet, WHOLE_BOOK } from '../sheet/index.js';
import { type BreakEvenStep, breakEvenSteps, stepsAt } from './break-even-steps.js';
import { candidateSale } from './candidate-sale.js';
import { fixedCostSteps } from './fixed-cost-steps.js';
import { planningGap } from './gaps.js';
import { periodCostsWith } from './period-costs.js';

/** What has to be sold at a candidate price to cover a fixed cost. */
export interface BreakEven {
  readonly fixedCost: Figure;
  readonly exactUnits: Figure;
  readonly units: Figure;
  readonly unitsPerOpenDay: Figure;
  readonly wholeUnitsPerOpenDay: Figure;
  readonly exactRevenue: Figure;
  readonly revenue: Figure;
}

const MEANINGS = {
  fixedCost: 'The fixed cost of a month to be covered.',
  exactUnits: 'Units a month at which the sales just cover the fixed cost, not rounded.',
  units: 'Whole units to be sold in a month before you make a profit (break-even).',
  unitsPerOpenDay: 'Break-even units spread over the open days of a month.',
  wholeUnitsPerOpenDay: 'Whole units to be sold on each open day before you make a profit.',
  exactRevenue: 'Net revenue at the exact break-even.',
  revenue: 'Net revenue at the whole break-even units.',
};

/**
 * Break-even of a candidate price against the whole fixed cost of the book, with the period fees of its channel and of those in
 * use. Where the fixed cost goes in steps, the first break-even that lies inside its own step (`breakEvenSteps`).
 */
export const breakEvenOfBook: Calculation<BreakEven> = {
  name: 'breakEvenOfBook',
  meanings: MEANINGS,
  work(sheet, candidateId) {
    const total = periodCostsWith(sheet, channelOf(sheet, candidateId));
    const fixedCost = choice('Fixed cost per month', total, 'all fixed costs of the book');
    return inSteps(sheet, candidateId, fixedCost, sheet.read(breakEvenSteps, candidateId).steps);
  },
};

/**
 * Break-even in cash of a candidate price: the fixed cost of the book, less what of it is not paid in cash, with the repayments
 * of loans. Steps count as in `breakEvenOfBook`. What changes with a unit stays as it costs.
 */
export const breakEvenOfCash: Calculation<BreakEven> = {
  name: 'breakEvenOfCash',
  meanings: { ...MEANINGS, fixedCost: 'The cash of a month to be covered: fixed costs that are paid, and repayments.' },
  work(sheet, candidateId) {
    const row = sheet.row('candidatePrice', candidateId) ?? sheet.row('pricePoint', candidateId);
    const total = periodCostsWith(sheet, channelOf(sheet, candidateId));
    const paid = sum('Fixed cost paid in cash', total.unit, [total, sheet.read(cashCosts, WHOLE_BOOK).more]);
    const steps = fixedCostSteps(sheet, row?.productId ?? '', paid, ({ paidInCash }) => paidInCash);
    const fixedCost = choice('Fixed cost per month', paid, 'what of it is paid in cash, with repayments');
    return inSteps(sheet, candidateId, fixedCost, stepsAt(sheet, candidateId, steps));
  },
};

/** The break-even against a fixed cost: the first that lies inside its own step, where it goes in steps. */
function inSteps(sheet: Sheet, candidateId: string, fixedCost: Figure, steps: readonly BreakEvenStep[]): BreakEven {
  const { contribution } = sheet.read(candidateSale, candidateId);
  if (steps.length === 0 || statedResult(sheet, contribution, fixedCost) !== null)
    return breakEven(sheet, candidateId, fixedCost);
  const inside = steps.find(({ units }) => units.amount !== null);
  if (inside !== undefined) {
    const ofStep = choice('Fixed cost per month', inside.fixedCost, 'of the first step that breaks even');
    return breakEven(sheet, candidateId, ofStep);
  }
  const gap = [...contribution.gaps, ...fixedCost.gaps][0] ?? planningGap('no-break-even-in-steps', null);
  const leaf = { name: 'Break-even units', unit: fixedCost.unit.per(contribution.unit) };
  return atUnits(sheet, candidateId, fixedCost, missing(leaf, gap, [fixedCost]));
}

/** The channel of a candidate price, or of a set price. */
const channelOf = (sheet: Sheet, id: string): string =>
  (sheet.row('candidatePrice', id) ?? sheet.row('pricePoint', id))?.channelId ?? '';

/**
 * Break-even of a candidate price against the product's own share of the fixed cost, and what its planned units carry of the
 * period fees of the channel.
 */
export const breakEvenOfShare: Calculation<BreakEven> = {
  name: 'breakEvenOfShare',
  meanings: MEANINGS,
  work(sheet, candidateId) {
    const row = sheet.row('candidatePrice', candidateId) ?? sheet.row('pricePoint', candidateId);
    const productId = row?.productId ?? '';
    const { fixedInUnit } = sheet.read(unitBehaviour, productId);
    const called = { name: 'Fixed cost of the product', subject: fixedInUnit.subject };
    const own = multiplied(called, fixedInUnit, plannedUnits(sheet, productId));
    const share = withPeriodFees(sheet, candidateId, own);
    return breakEven(
      sheet,
      candidateId,
      choice('Fixed cost per month', share, 'the share of the fixed costs that this product carries'),
    );
  },
};

/** A share of the fixed cost, and what the planned units of the product in the channel carry of its period fees. */
function withPeriodFees(sheet: Sheet, candidateId: string, share: Figure): Figure {
  const row = sheet.row('candidatePrice', candidateId) ?? sheet.row('pricePoint', candidateId);
  const product = row && sheet.row('product', row.productId);
  const channel = row && sheet.row('channel', row.channelId);
  if (row === undefined || product === undefined || channel === undefined) return share;
  const point = sheet.rowsOf('pricePoint', 'productId', product.id).find(({ channelId }) => channelId === channel.id);
  const { periodFee } = saleTerms(sheet, product, channel, point);
  if (periodFee === null) return share;
  const planned = point === undefined ? plannedUnits(sheet, product.id) : plannedAt(sheet, point);
  const fees = multiplied({ name: 'Period fees of the channel', subject: product.name }, periodFee, planned);
  return sum({ name: share.name, subject: share.subject }, share.unit, [share, fees]);
}

/**
 * Break-even units = fixed cost / contribution per unit, shown exact and rounded up to whole units (common practice);
 * net revenue at both. A contribution of zero or less is a result in words: "never breaks even", or "at any volume" where
 * there is no fixed cost either. Source: cost-volume-profit analysis, Horngren, Datar & Rajan, Cost Accounting.
 */
function breakEven(sheet: Sheet, candidateId: string, fixedCost: Figure): BreakEven {
  const sale = sheet.read(candidateSale, candidateId);
  const stated = statedResult(sheet, sale.contribution, fixedCost);
  const exactUnits =
    stated === null
      ? quotient('Break-even units, exact', fixedCost, sale.contribution)
      : missing({ name: 'Break-even units', unit: fixedCost.unit.per(sale.contribution.unit) }, stated, [
          fixedCost,
          sale.contribution,
        ]);
  return atUnits(sheet, candidateId, fixedCost, exactUnits);
}

function atUnits(sheet: Sheet, candidateId: string, fixedCost: Figure, exactUnits: Figure): BreakEven {
  const sale = sheet.read(candidateSale, candidateId);
  const units = rounded('Break-even units', exactUnits, ONE, 'up');
  const perDay = quotient('Break-even units per open day', exactUnits, sheet.read(openDays, WHOLE_BOOK).perMonth);
  return {
    fixedCost,
    exactUnits,
    units,
    unitsPerOpenDay: perDay,
    wholeUnitsPerOpenDay: rounded('Whole units per open day', perDay, ONE, 'up'),
    exactRevenue: multiplied('Revenue at break-even, exact', exactUnits, sale.netRevenue),
    revenue: multiplied('Revenue at break-even', units, sale.netRevenue),
  };
}

function statedResult(sheet: Sheet, contribution: Figure, fixedCost: Figure): Gap | null {
  if (contribution.amount === null || contribution.gaps.length > 0 || isPositive(contribution.amount)) return null;
  if (contribution.amount.isZero()) {
    return planningGap(
      fixedCost.amount?.isZero() && fixedCost.gaps.length === 0 ? 'breaks-even-at-any-volume' : 'never-breaks-even',
      null,
    );
  }
  return planningGap('loses-each-sale', null, { loss: lossInWords(sheet, contribution.amount.neg()) });
}

/** A loss in the currency's digits; in two digits of its own where it is smaller than the smallest coin. */
function lossInWords(sheet: Sheet, loss: Decimal): string {
  const currency = bookCurrency(sheet);
  const digits = minorDigits(currency);
  const isTiny = compared(loss, minorUnit(currency)) < 0;
  const written = isTiny
    ? loss.toSignificantDigits(2).toFixed()
    : fixedDigits(loss.toFixed(), digits, sheet.settings().rounding);
  return `${numberIn(sheet, written)} ${currency}`;
}
