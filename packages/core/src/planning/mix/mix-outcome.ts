import { type MixTotalSide, type RowOf } from '@nuvar/book';
import {
  choice,
  difference,
  type Figure,
  missing,
  multiplied,
  ofMissingRow,
  percentOf,
  sum,
} from '../../figure/index.js';
import { PERCENT } from '../../quantity/index.js';
import { type Calculation, money, OUTPUT, type Sheet, WHOLE_BOOK } from '../../sheet/index.js';
import { periodCosts } from '../period-costs.js';
import { planningGap } from '../gaps.js';
import { isInPeriods, mixPeriod } from './periods/mix-periods.js';
import type { AskedQuantities } from './periods/period-quantity.js';
import { countedAsUnits, type MixSums, scheduleSums } from './periods/schedule-sums.js';
import { mixProductTerms } from './mix-product.js';
import { quantitiesAsked, isMade, productsOfMix, madeOf, resourcesOfMix, withQuantities } from './mix-quantities.js';
import { mixResourceOutcome } from './mix-resource-outcome.js';

/** What a mix brings in all, whatever its goal is. */
export interface MixOutcome {
  /** By the goal of the plan. */
  readonly goal: Figure;
  /** Before set-ups and extra. */
  readonly contribution: Figure;
  readonly setUps: Figure;
  readonly extra: Figure;
  /** What holding stock costs, of a plan of several periods. */
  readonly holding: Figure;
  readonly profit: Figure;
  /** Fixed costs of the period, whatever is made. */
  readonly fixedCosts: Figure;
  readonly operatingProfit: Figure;
  readonly revenue: Figure;
  readonly units: Figure;
  readonly cost: Figure;
}

/**
 * What a mix brings in its period; the id is that of the plan, for the quantities tried by hand, or "plan@12|30|0" for others.
 * Contribution = sum of quantity x contribution; profit after set-up = contribution - set-ups of what is made - premium of the
 * extra that is used - holding of stock. Operating profit = that - fixed costs of the period. Cost = sum of quantity x variable cost + set-ups + that premium. By the goal of contribution set-ups are
 * not taken off. Gaps: those of the terms of a product that is made.
 */
export const mixOutcome: Calculation<MixOutcome> = {
  name: 'mix',
  meanings: {
    goal: 'What this mix reaches of the goal of the plan.',
    contribution: 'What this mix leaves before set-ups and what extra costs (contribution).',
    setUps: 'What the set-ups of all products that are made cost.',
    extra: 'What overtime and extra purchases cost above their normal price.',
    holding: 'What holding stock from period to period costs.',
    profit: 'What this mix leaves after set-ups, extra and holding.',
    fixedCosts: 'The fixed costs of the period, whatever is made.',
    operatingProfit: 'What this mix leaves after set-ups, extra and the fixed costs of the period (operating profit).',
    revenue: 'What this mix brings: net revenue.',
    units: 'All units of this mix together.',
    cost: 'What changes with this mix, with its set-ups and extra.',
  },
  work(sheet, id) {
    const { of: planId, quantities: asked } = quantitiesAsked(sheet, id);
    const plan = sheet.row('mixPlan', planId);
    const amount = money(sheet);
    if (plan === undefined) return gone(sheet);
    const { contribution, setUps, extra, holding, revenue, units, cost } = isInPeriods(sheet, planId)
      ? scheduleSums(sheet, planId, asked)
      : mixSumsOf(sheet, planId, asked);
    const ofStock = sum('Extra and holding', amount, [extra, holding]);
    const afterExtra = difference(
      'Contribution after extra',
      contribution,
      isInPeriods(sheet, planId) ? ofStock : extra,
    );
    const profit = difference('Profit after set-up', afterExtra, setUps);
    const fixedCosts = fixedCostsOfMix(sheet, planId);
    const operatingProfit = difference('Operating profit', profit, fixedCosts);
    const byGoal = {
      contribution: afterExtra,
      'profit after set-up': profit,
      'operating profit': operatingProfit,
      revenue,
      units,
      'least cost': cost,
    };
    const goal = choice('Goal', byGoal[plan.goal], plan.goal);
    return { goal, contribution, setUps, extra, holding, profit, fixedCosts, operatingProfit, revenue, units, cost };
  },
};

/** What a mix of one period adds up to. */
function mixSumsOf(sheet: Sheet, planId: string, asked: AskedQuantities): MixSums {
  const amount = money(sheet);
  const { quantities: made, heads: areMade } = madeOf(sheet, planId, asked);
  const rows = productsOfMix(sheet, planId);
  const terms = rows.map((row) => sheet.read(mixProductTerms, row.id));
  const each = (name: string, of: 'contribution' | 'revenue' | 'variableCost') =>
    terms.flatMap((term, index) => {
      const quantity = made[index] as Figure;
      return isMade(quantity) ? [multiplied({ name, subject: quantity.subject }, quantity, term[of])] : [];
    });
  const setUps = sum(
    'Set-ups',
    amount,
    rows.flatMap((row, index) => (areMade.has(row.id) ? (terms[index]?.setUpCost ?? []) : [])),
  );
  const extra = sum(
    'Extra',
    amount,
    resourcesOfMix(sheet, planId).flatMap(
      (row) => sheet.read(mixResourceOutcome, withQuantities(row.id, asked)).extraCost ?? [],
    ),
  );
  return {
    setUps,
    extra,
    contribution: sum('Contribution', amount, each('Contribution', 'contribution')),
    holding: sum('Holding', amount, []),
    revenue: sum('Net revenue', amount, each('Net revenue', 'revenue')),
    units: sum('Units', OUTPUT, made.map(countedAsUnits)),
    cost: sum('Cost', amount, [...each('Variable cost', 'variableCost'), setUps, extra]),
  };
}

/** The fixed costs of the period of a plan = fixed costs a month x its months. */
export const fixedCostsOfMix = (sheet: Sheet, planId: string): Figure =>
  multiplied(
    'Fixed costs of the period',
    sheet.read(periodCosts, WHOLE_BOOK).total,
    sheet.read(mixPeriod, planId).months,
  );

/** What a total comes to, and what it is held against. */
export interface MixTotalOutcome {
  /** Units counted, or how many more there are of them than of those they are counted against. */
  readonly units: Figure;
  /** The limit in units: of a share of all, so many percent of all units. */
  readonly limit: Figure;
  /** The limit as it is stated: units, or percent of all. */
  readonly stated: Figure;
}

/**
 * The units of the products in a total together; of a difference those counted less those they are counted against; the limit of a
 * share of all = its percentage x the units of all products. The id is that of the total, or "total@12|30|0". Gap: no limit yet.
 */
export const mixTotalOutcome: Calculation<MixTotalOutcome> = {
  name: 'mixTotal',
  meanings: {
    units: 'The units of these products together, or how many more of them there are than of others.',
    limit: 'The limit on these products together, in units.',
    stated: 'The limit as it was entered: units, or percent of all.',
  },
  work(sheet, id) {
    const { of: totalId, quantities: asked } = quantitiesAsked(sheet, id);
    const row = sheet.row('mixTotal', totalId);
    if (row === undefined) {
      const figure = ofMissingRow({ name: 'Units', unit: OUTPUT }, 'a mix plan');
      return { units: figure, limit: figure, stated: figure };
    }
    const subject = row.name;
    const stated = statedLimit(sheet, row);
    const made = madeOf(sheet, row.planId, asked).quantities;
    const sides = new Map(
      sheet.rowsOf('mixTotalProduct', 'totalId', row.id).map(({ mixProductId, side }) => [mixProductId, side]),
    );
    const unitsOf = (name: string, counts: (side: MixTotalSide | undefined) => boolean) =>
      sum(
        { name, subject },
        OUTPUT,
        productsOfMix(sheet, row.planId).flatMap((product, index) =>
          counts(sides.get(product.id)) ? [countedAsUnits(made[index] as Figure)] : [],
        ),
      );
    if (row.measure === 'difference') {
      const counted = unitsOf('Counted', (side) => side === 'counted');
      const against = unitsOf('Counted against', (side) => side === 'against');
      return { units: difference({ name: 'More of them', subject }, counted, against), limit: stated, stated };
    }
    const units = unitsOf('Units', (side) => side !== undefined);
    if (row.measure === 'units') return { units, limit: stated, stated };
    return {
      units,
      limit: percentOf(
        { name: 'Limit', subject },
        stated,
        unitsOf('All units', () => true),
      ),
      stated,
    };
  },
};

function statedLimit(sheet: Sheet, row: RowOf<'mixTotal'>): Figure {
  const leaf = { name: 'Limit', subject: row.name, unit: row.measure === 'share of all' ? PERCENT : OUTPUT };
  const place = { kind: 'mixTotal', id: row.id, field: 'units' } as const;
  return row.units === null
    ? missing(leaf, planningGap('no-mix-total', place, { subject: row.name }))
    : sheet.input('mixTotal', row, 'units', leaf);
}

function gone(sheet: Sheet): MixOutcome {
  const figure = ofMissingRow({ name: 'Goal', unit: money(sheet) }, 'a mix plan');
  const units = ofMissingRow({ name: 'Units', unit: OUTPUT }, 'a mix plan');
  const [revenue, cost] = [figure, figure];
  return {
    goal: figure,
    contribution: figure,
    setUps: figure,
    extra: figure,
    holding: figure,
    profit: figure,
    fixedCosts: figure,
    operatingProfit: figure,
    revenue,
    units,
    cost,
  };
}
