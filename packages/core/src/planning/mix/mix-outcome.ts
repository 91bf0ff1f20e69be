import { isDecimalText, type MixTotalSide, type RowOf } from '@nuvar/book';
import {
  choice,
  constant,
  difference,
  type Figure,
  largest,
  missing,
  multiplied,
  ofMissingRow,
  percentOf,
  smallest,
  sum,
} from '../../figure/index.js';
import { isPositive } from '../../number/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { type Calculation, money, OUTPUT, type Sheet, WHOLE_BOOK } from '../../sheet/index.js';
import { periodCosts } from '../period-costs.js';
import { planningGap } from '../gaps.js';
import { mixPeriod } from './mix-period.js';
import { mixProductTerms, nameInMix, outputInMix } from './mix-product.js';
import { mixResourceTerms, nameOfResource, unitOfMixResource } from './mix-resource.js';
import { mixUse } from './mix-use.js';
import { headsMade } from './set-up-head.js';

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
function askedOf(id: string): { readonly of: string; readonly quantities: readonly string[] | null } {
  const [of = '', stated] = id.split('@');
  return { of, quantities: stated === undefined ? null : stated.split('|') };
}

/** How much is made of each product: as typed, or as asked for. */
function quantitiesOf(sheet: Sheet, planId: string, asked: readonly string[] | null): readonly Figure[] {
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

const isMade = ({ amount }: Figure) => amount !== null && isPositive(amount);

/** What a mix brings in all, whatever its goal is. */
export interface MixOutcome {
  /** By the goal of the plan. */
  readonly goal: Figure;
  /** Before set-ups and extra. */
  readonly contribution: Figure;
  readonly setUps: Figure;
  readonly extra: Figure;
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
 * extra that is used. Operating profit = that - fixed costs of the period. Cost = sum of quantity x variable cost + set-ups + that premium. By the goal of contribution set-ups are
 * not taken off. Gaps: those of the terms of a product that is made.
 */
export const mixOutcome: Calculation<MixOutcome> = {
  name: 'mix',
  meanings: {
    goal: 'What this mix reaches of the goal of the plan.',
    contribution: 'What this mix leaves before set-ups and what extra costs (contribution).',
    setUps: 'What the set-ups of all products that are made cost.',
    extra: 'What overtime and extra purchases cost above their normal price.',
    profit: 'What this mix leaves after set-ups and extra.',
    fixedCosts: 'The fixed costs of the period, whatever is made.',
    operatingProfit: 'What this mix leaves after set-ups, extra and the fixed costs of the period (operating profit).',
    revenue: 'What this mix brings: net revenue.',
    units: 'All units of this mix together.',
    cost: 'What changes with this mix, with its set-ups and extra.',
  },
  work(sheet, id) {
    const { of: planId, quantities: asked } = askedOf(id);
    const plan = sheet.row('mixPlan', planId);
    const amount = money(sheet);
    if (plan === undefined) return gone(sheet);
    const made = quantitiesOf(sheet, planId, asked);
    const rows = productsOfMix(sheet, planId);
    const terms = rows.map((row) => sheet.read(mixProductTerms, row.id));
    const areMade = headsMade(sheet, rows, (index) => isMade(made[index] as Figure));
    const each = (name: string, of: 'contribution' | 'revenue' | 'variableCost') =>
      terms.flatMap((term, index) => {
        const quantity = made[index] as Figure;
        return isMade(quantity) ? [multiplied({ name, subject: quantity.subject }, quantity, term[of])] : [];
      });
    const contribution = sum('Contribution', amount, each('Contribution', 'contribution'));
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
    const afterExtra = difference('Contribution after extra', contribution, extra);
    const profit = difference('Profit after set-up', afterExtra, setUps);
    const revenue = sum('Net revenue', amount, each('Net revenue', 'revenue'));
    const units = sum('Units', OUTPUT, made.map(plain));
    const cost = sum('Cost', amount, [...each('Variable cost', 'variableCost'), setUps, extra]);
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
    return { goal, contribution, setUps, extra, profit, fixedCosts, operatingProfit, revenue, units, cost };
  },
};

/** The fixed costs of the period of a plan = fixed costs a month x its months. */
export const fixedCostsOfMix = (sheet: Sheet, planId: string): Figure =>
  multiplied(
    'Fixed costs of the period',
    sheet.read(periodCosts, WHOLE_BOOK).total,
    sheet.read(mixPeriod, planId).months,
  );

const A_UNIT = (of: Figure['unit']) => constant('Counted as', '1', OUTPUT.per(of), 'each unit counts as one');

/** Units of any product, counted together. */
const plain = (quantity: Figure): Figure =>
  multiplied({ name: 'Units', subject: quantity.subject }, quantity, A_UNIT(quantity.unit));

/** What a mix takes of a resource. */
export interface MixResourceOutcome {
  readonly used: Figure;
  /** Available, with the extra that is used, less used; below zero where it runs short with all extra. */
  readonly left: Figure;
  /** Of what is over, what is had as extra; null where there is none to be had. */
  readonly extraUsed: Figure | null;
  readonly extraCost: Figure | null;
  /** What there is not, extra counted; zero where it suffices. */
  readonly short: Figure;
}

/**
 * What a mix takes of a resource = sum of quantity x use per unit, and the use of the set-ups of all that is made; the id is that
 * of the resource, or "resource@12|30|0". Extra used = what is over, at most the extra there is; where extra is cheaper than the
 * normal price, what is used, at most that. Its cost = that x the premium.
 */
export const mixResourceOutcome: Calculation<MixResourceOutcome> = {
  name: 'mixResourceUsed',
  meanings: {
    used: 'How much of the resource this mix takes.',
    left: 'How much is left of what there is, with the extra that is used; below zero where it runs short.',
    extraUsed: 'How much of the extra this mix takes.',
    extraCost: 'What that extra costs above its normal price.',
    short: 'How much this mix lacks, with all extra.',
  },
  work(sheet, id) {
    const { of: resourceId, quantities: asked } = askedOf(id);
    const row = sheet.row('mixResource', resourceId);
    if (row === undefined) {
      const figure = ofMissingRow({ name: 'Used', unit: unit('each') }, 'a mix plan');
      return { used: figure, left: figure, extraUsed: null, extraCost: null, short: figure };
    }
    const subject = nameOfResource(sheet, row);
    const counted = unitOfMixResource(sheet, row);
    const made = quantitiesOf(sheet, row.planId, asked);
    const products = productsOfMix(sheet, row.planId);
    const areMade = headsMade(sheet, products, (index) => isMade(made[index] as Figure));
    const takes = products.flatMap((product, index) => {
      const quantity = made[index] as Figure;
      const { perUnit, forSetUp } = sheet.read(mixUse, `${product.id}@${row.id}`);
      const called = { name: 'Used', subject: quantity.subject };
      const isTaken = isMade(quantity) && perUnit.amount?.isZero() !== true;
      const taken = isTaken ? [multiplied(called, quantity, perUnit)] : [];
      return forSetUp === null || !areMade.has(product.id) ? taken : [...taken, forSetUp];
    });
    const used = sum({ name: 'Used', subject }, counted, takes);
    const { available, extra, premium } = sheet.read(mixResourceTerms, row.id);
    const nothing = constant('Nothing', '0', counted, 'definition');
    const atLeastNothing = (name: string, of: Figure) =>
      largest({ name, subject }, [of, nothing], 'never less than nothing');
    const over = atLeastNothing('Over', difference({ name: 'Used above what there is', subject }, used, available));
    const left = (there: Figure) => difference({ name: 'Left', subject }, there, used);
    if (extra === null || premium === null)
      return { used, left: left(available), extraUsed: null, extraCost: null, short: over };
    const isCheaper = premium.amount !== null && premium.amount.isNegative() && !premium.amount.isZero();
    const extraUsed = isCheaper
      ? smallest(
          { name: 'Extra used', subject },
          [used, extra],
          'used first, since it is cheaper than the normal price',
        )
      : smallest({ name: 'Extra used', subject }, [over, extra], 'at most what can be had');
    return {
      used,
      extraUsed,
      left: left(sum({ name: 'Available with extra', subject }, counted, [available, extraUsed])),
      extraCost: multiplied({ name: 'Cost of extra', subject }, extraUsed, premium),
      short: atLeastNothing('Short', difference({ name: 'Lacking', subject }, over, extra)),
    };
  },
};

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
    const { of: totalId, quantities: asked } = askedOf(id);
    const row = sheet.row('mixTotal', totalId);
    if (row === undefined) {
      const figure = ofMissingRow({ name: 'Units', unit: OUTPUT }, 'a mix plan');
      return { units: figure, limit: figure, stated: figure };
    }
    const subject = row.name;
    const stated = statedLimit(sheet, row);
    const made = quantitiesOf(sheet, row.planId, asked);
    const sides = new Map(
      sheet.rowsOf('mixTotalProduct', 'totalId', row.id).map(({ mixProductId, side }) => [mixProductId, side]),
    );
    const unitsOf = (name: string, counts: (side: MixTotalSide | undefined) => boolean) =>
      sum(
        { name, subject },
        OUTPUT,
        productsOfMix(sheet, row.planId).flatMap((product, index) =>
          counts(sides.get(product.id)) ? [plain(made[index] as Figure)] : [],
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
    profit: figure,
    fixedCosts: figure,
    operatingProfit: figure,
    revenue,
    units,
    cost,
  };
}
