import { difference, type Figure, sum } from '../figure/index.js';
import { fixedCosts, poolCost, poolsOf } from '../overhead/index.js';
import { isInPlan, plannedSales } from '../production/index.js';
import { type Calculation, money, MONTH, type Sheet, WHOLE_BOOK } from '../sheet/index.js';
import { periodCosts } from './period-costs.js';
import { type ProductMonth, productMonth } from './product-month.js';

/** The profit of one planned month under marginal and under absorption costing. */
export interface PeriodProfit {
  readonly revenue: Figure;
  readonly variableCost: Figure;
  readonly contribution: Figure;
  readonly fixedProduction: Figure;
  readonly fixedOther: Figure;
  readonly marginal: Figure;
  readonly fixedInSold: Figure;
  /** Fixed production cost that the units made do not absorb; over-absorbed below zero. */
  readonly underAbsorbed: Figure;
  readonly absorption: Figure;
  readonly intoStock: Figure;
  readonly difference: Figure;
}

/** The products that are planned to be sold or made. */
export const plannedProducts = (sheet: Sheet) =>
  sheet
    .all('product')
    .filter(
      (product) => plannedSales(sheet, product.id).length > 0 || (isInPlan(product) && product.madePerMonth !== null),
    );

/**
 * The profit of one planned month; the id is its first day. Marginal = contribution - all fixed costs. Absorption =
 * contribution - fixed production cost in the units sold - under-absorbed - other fixed costs; under-absorbed = fixed
 * production - absorbed by the units made. The two are apart by the change of stock x fixed production cost in a unit.
 * Source: Horngren, Datar & Rajan, Cost Accounting.
 */
export const periodProfit: Calculation<PeriodProfit> = {
  name: 'periodProfit',
  meanings: {
    revenue: 'What the planned sales of the month bring: net revenue, with postage charged and less expected refunds.',
    variableCost: 'Fees and all that changes with each unit sold.',
    contribution: 'What is left of that for fixed costs and profit.',
    fixedProduction: 'The production costs of a month that come whatever is made.',
    fixedOther: 'The costs of selling and office that come whatever is sold, with the period fees of channels.',
    marginal: 'The profit of the month where fixed production costs belong to the month (marginal costing).',
    fixedInSold: 'The fixed production cost in the units sold.',
    underAbsorbed: 'The fixed production cost that the units made do not absorb; over-absorbed below zero.',
    absorption: 'The profit of the month where fixed production costs go with the units (absorption costing).',
    intoStock: 'The change of stock at the fixed production cost of a unit.',
    difference: 'Absorption profit less marginal profit.',
  },
  work(sheet, month) {
    const perMonth = money(sheet).per(MONTH);
    const products = plannedProducts(sheet).map(({ id }) => sheet.read(productMonth, `${id}@${month}`));
    const together = (name: string, member: keyof ProductMonth) =>
      sum(
        name,
        perMonth,
        products.map((product) => product[member]),
      );
    const revenue = together('Revenue', 'revenue');
    const contribution = together('Contribution', 'contribution');
    const ofUse = (use: 'production' | 'non-production') =>
      poolsOf(sheet)
        .filter((pool) => pool.use === use)
        .map(({ id }) => sheet.read(poolCost, id).toShareOut);
    const { committed } = sheet.read(fixedCosts, WHOLE_BOOK);
    const fixedProduction = sum('Fixed production cost', perMonth, [
      ...ofUse('production'),
      ...(committed.parts.length === 0 ? [] : [committed]),
    ]);
    const { channelFees } = sheet.read(periodCosts, WHOLE_BOOK);
    const fixedOther = sum('Fixed selling and office cost', perMonth, [
      ...ofUse('non-production'),
      ...(channelFees.parts.length === 0 ? [] : [channelFees]),
    ]);
    const afterProduction = difference('After fixed production cost', contribution, fixedProduction);
    const marginal = difference('Profit, marginal costing', afterProduction, fixedOther);
    const fixedInSold = together('Fixed production cost in what is sold', 'absorbedBySold');
    const absorbed = together('Absorbed by what is made', 'absorbedByMade');
    const underAbsorbed = difference('Under-absorbed', fixedProduction, absorbed);
    const gross = difference(
      'After production cost',
      difference('After fixed cost of what is sold', contribution, fixedInSold),
      underAbsorbed,
    );
    const absorption = difference('Profit, absorption costing', gross, fixedOther);
    return {
      revenue,
      variableCost: difference('Variable cost and fees', revenue, contribution),
      contribution,
      fixedProduction,
      fixedOther,
      marginal,
      fixedInSold,
      underAbsorbed,
      absorption,
      intoStock: together('Fixed cost into stock', 'intoStock'),
      difference: difference('Absorption less marginal', absorption, marginal),
    };
  },
};
