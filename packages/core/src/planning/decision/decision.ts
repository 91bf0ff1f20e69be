import type { FixedCostFate, RowOf } from '@nuvar/book';
import {
  choice,
  difference,
  type Figure,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
  smallest,
  sum,
} from '../../figure/index.js';
import { isPositive } from '../../number/index.js';
import { plannedOutput, plannedSales, plannedUnits, resourceUse } from '../../production/index.js';
import { NUMBER, unit } from '../../quantity/index.js';
import { pricePoint, unitBehaviour } from '../../selling/index.js';
import { type Calculation, HOUR, money, MONTH, type Sheet } from '../../sheet/index.js';
import { planningGap } from '../gaps.js';
import { mixPeriod } from '../mix/periods/mix-periods.js';
import { decisionCost } from './decision-cost.js';
import { type About, orderContribution, orderTurningPrice, priceOf, restOfBatch } from './special-order.js';

/** What really changes with a decision, in a month, or with an order that comes once. Null for what it does not touch. */
export interface DecisionLines {
  readonly units: Figure;
  /** What changes with each unit that is made, and is saved where it is bought in. */
  readonly making: Figure | null;
  readonly purchase: Figure | null;
  /** What a special order leaves after its fees and what changes with each unit. */
  readonly orderContribution: Figure | null;
  /** What the planned sales leave, and is given up where the product is dropped. */
  readonly lostContribution: Figure | null;
  /** Of a special order with batches of its own: what is made beyond it in the last of them. */
  readonly restOfBatch: Figure | null;
  readonly fixedGone: Figure;
  readonly fixedOnTop: Figure;
  /** Comes whatever is decided, and counts for nothing. */
  readonly fixedStays: Figure;
  readonly oneTime: Figure | null;
  /** Hours of what is scarce that are freed, or taken by a special order. */
  readonly scarceHours: Figure | null;
  /** Those of them that displace other work, or find it. */
  readonly hoursThatCount: Figure | null;
  readonly scarceWorth: Figure | null;
  /** As many hours as count in the period of the mix plan that says what they are worth. */
  readonly hoursInPlan: Figure | null;
  /** What the decision brings in all; below zero where it costs. */
  readonly advantage: Figure;
  /** The price at which it makes no difference; null where there is none of a unit. */
  readonly turningPrice: Figure | null;
}

type Row = RowOf<'decision'>;

/**
 * A decision by what really changes. Buy in: what is saved of making - the purchase. Special order: its contribution. Drop: the
 * contribution that is lost. To each: fixed costs that go, less those that come on top, less the one-time cost (spread over its
 * months, whole for an order), and the hours of what is scarce (no more of them than are said to be) x what an hour earns
 * otherwise, gained where they are freed and lost where they are taken. Fixed costs that stay, overhead shares among them, count for nothing. Source: relevant costing,
 * Horngren, Datar & Rajan, Cost Accounting.
 */
export const decision: Calculation<DecisionLines> = {
  name: 'decision',
  meanings: {
    units: 'The units that the decision is about.',
    making: 'What changes with each unit that is made (variable cost), for all of them.',
    purchase: 'What they cost when they are bought in.',
    orderContribution: 'What the special order leaves after fees and what changes with each unit (contribution).',
    lostContribution: 'What the planned sales of the product leave, which is given up (contribution).',
    restOfBatch: 'What changes with the units that the last batch of the order makes beyond it.',
    fixedGone: 'Fixed costs that go with the decision (avoidable cost).',
    fixedOnTop: 'Fixed costs that come on top with the decision.',
    fixedStays: 'Fixed costs that stay whatever is decided: they count for nothing.',
    oneTime: 'What the decision costs once.',
    scarceHours: 'Hours of what is scarce that the decision frees, or takes.',
    hoursThatCount: 'Those of them that displace other work, or find it.',
    scarceWorth: 'What those hours earn otherwise (opportunity cost).',
    hoursInPlan: 'Those hours in the period of the mix plan that says what they are worth.',
    advantage: 'What the decision brings in all; below zero where it costs.',
    turningPrice: 'The price of a unit at which the decision makes no difference.',
  },
  work(sheet, id) {
    const row = sheet.row('decision', id);
    const product = row && sheet.row('product', row.productId);
    if (row === undefined || product === undefined) return gone(sheet);
    const about = aboutOf(sheet, row, product);
    const { period } = about;
    const perUnit = perUnitLines(sheet, about);
    const fixed = (fate: FixedCostFate, name: string) => sum(name, period, costsOf(sheet, id, fate));
    const fixedGone = fixed('goes', 'Fixed costs that go');
    const fixedOnTop = fixed('comes on top', 'Fixed costs on top');
    const oneTime = oneTimeOf(sheet, about);
    const scarce = scarceOf(sheet, about);
    const isTaken = row.type === 'special order';
    const ups = [perUnit.making, perUnit.orderContribution, fixedGone, isTaken ? null : scarce.worth];
    const { purchase, lostContribution, restOfBatch } = perUnit;
    const downs = [purchase, lostContribution, restOfBatch, fixedOnTop, oneTime, isTaken ? scarce.worth : null];
    const brought = sum('Brought', period, ups.filter(isThere));
    const taken = sum('Taken', period, downs.filter(isThere));
    return {
      units: about.units,
      ...perUnit,
      fixedGone,
      fixedOnTop,
      oneTime,
      fixedStays: fixed('stays', 'Fixed costs that stay'),
      scarceHours: scarce.hours,
      hoursThatCount: scarce.counted,
      scarceWorth: scarce.worth,
      hoursInPlan: scarce.counted && hoursInPlan(sheet, row, scarce.counted),
      advantage: difference({ name: 'Advantage', subject: row.name }, brought, taken),
      turningPrice: turningPrice(sheet, about, perUnit, brought, taken),
    };
  },
};

const isThere = (figure: Figure | null): figure is Figure => figure !== null;

function aboutOf(sheet: Sheet, row: Row, product: RowOf<'product'>): About {
  const isOnce = row.type === 'special order';
  const output = unit(product.outputUnit);
  const leaf = { name: 'Units', subject: product.name, unit: isOnce ? output : output.per(MONTH) };
  const place = { kind: 'decision', id: row.id, field: 'units' } as const;
  const units =
    row.units !== null && row.type !== 'drop'
      ? sheet.input('decision', row, 'units', leaf)
      : isOnce
        ? missing(leaf, planningGap('no-order-units', place, { subject: product.name }))
        : row.type === 'buy in'
          ? madeUnits(sheet, product.id)
          : plannedUnits(sheet, product.id);
  return { row, product, units, period: isOnce ? money(sheet) : money(sheet).per(MONTH) };
}

/** What is made of a product in a month, with what goes into other products; as many as are sold where nothing is made. */
function madeUnits(sheet: Sheet, productId: string): Figure {
  const { units } = sheet.read(plannedOutput, productId);
  return units.amount?.isZero() === true ? plannedUnits(sheet, productId) : units;
}

type PerUnit = Pick<DecisionLines, 'making' | 'purchase' | 'orderContribution' | 'lostContribution' | 'restOfBatch'>;
const NOTHING: PerUnit = {
  making: null,
  purchase: null,
  orderContribution: null,
  lostContribution: null,
  restOfBatch: null,
};

function perUnitLines(sheet: Sheet, about: About): PerUnit {
  const { row, product, units } = about;
  const subject = product.name;
  if (row.type === 'drop') return { ...NOTHING, lostContribution: lostContribution(sheet, product) };
  const price = priceOf(sheet, about);
  if (row.type === 'buy in') {
    const { changingCost } = sheet.read(unitBehaviour, product.id);
    return {
      ...NOTHING,
      making: multiplied({ name: 'Making them', subject }, units, changingCost),
      purchase: multiplied({ name: 'Buying them', subject }, units, price),
    };
  }
  const left = multiplied(
    { name: 'Contribution of the order', subject },
    units,
    orderContribution(sheet, about, price),
  );
  return { ...NOTHING, orderContribution: left, restOfBatch: row.ownBatches ? restOfBatch(sheet, about) : null };
}

/** What the planned sales of a product leave in a month, in all channels. Gap: planned where it has no price. */
function lostContribution(sheet: Sheet, product: RowOf<'product'>): Figure {
  const subject = product.name;
  const perUnit = money(sheet).per(unit(product.outputUnit));
  const parts = plannedSales(sheet, product.id).map(({ channelId, units }) => {
    const point = sheet.rowsOf('pricePoint', 'productId', product.id).find((each) => each.channelId === channelId);
    const place = { kind: 'pricePoint', id: product.id, field: 'price' } as const;
    const contribution =
      point === undefined
        ? missing(
            { name: 'Contribution', subject, unit: perUnit },
            planningGap('planned-without-price', place, { subject }),
          )
        : sheet.read(pricePoint, point.id).contribution;
    return multiplied({ name: 'Contribution given up', subject }, units, contribution);
  });
  return sum({ name: 'Contribution given up', subject }, money(sheet).per(MONTH), parts);
}

const costsOf = (sheet: Sheet, decisionId: string, fate: FixedCostFate): Figure[] =>
  sheet
    .rowsOf('decisionCost', 'decisionId', decisionId)
    .map(({ id }) => sheet.read(decisionCost, id))
    .flatMap((terms) => (terms.fate === fate ? [terms.amount] : []));

/** The one-time cost: whole with an order that comes once, spread over its months else. Null for none. */
function oneTimeOf(sheet: Sheet, { row }: About): Figure | null {
  if (row.oneTimeCost === '0') return null;
  const called = { name: 'One-time cost', subject: row.name };
  const whole = sheet.input('decision', row, 'oneTimeCost', { ...called, unit: money(sheet) });
  if (row.type === 'special order') return whole;
  return quotient(
    called,
    whole,
    sheet.input('decision', row, 'months', { name: 'Months', subject: row.name, unit: MONTH }),
  );
}

/** The hours of what is scarce, and what they earn otherwise; null where nothing is said to be scarce. */
function scarceOf(
  sheet: Sheet,
  { row, product, units }: About,
): Readonly<Record<'hours' | 'counted' | 'worth', Figure | null>> {
  const source =
    row.gradeId !== null
      ? `labourGrade.${row.gradeId}`
      : row.equipmentId !== null
        ? `equipment.${row.equipmentId}`
        : null;
  if (source === null) return { hours: null, counted: null, worth: null };
  const subject = product.name;
  const { perUnit } = sheet.read(resourceUse, `${product.id}@${source}`);
  const hours = multiplied({ name: 'Scarce hours', subject }, units, perUnit);
  const earns = sheet.input('decision', row, 'hourEarns', {
    name: 'An hour earns',
    subject: row.name,
    unit: money(sheet).per(HOUR),
    whenEmpty: (place) => planningGap('no-hour-earns', place, { subject: row.name }),
  });
  const counted = hoursThatCount(sheet, row, hours);
  return { hours, counted, worth: multiplied({ name: 'Earned by those hours', subject }, counted, earns) };
}

/** Hours a month in the months of the plan; those of an order as they are. Null where no plan says what they are worth. */
function hoursInPlan(sheet: Sheet, { mixPlanId, type, name: subject }: Row, counted: Figure): Figure | null {
  if (mixPlanId === null) return null;
  const called = { name: 'Hours in the plan', subject };
  if (type === 'special order') return choice(called, counted, 'an order comes once, in one period of the plan');
  return multiplied(called, counted, sheet.read(mixPeriod, mixPlanId).months);
}

function hoursThatCount(sheet: Sheet, row: Row, hours: Figure): Figure {
  if (row.scarceHours === null) return hours;
  const called = { name: 'Of them scarce', subject: row.name };
  const typed = sheet.input('decision', row, 'scarceHours', { ...called, unit: hours.unit });
  return smallest(called, [typed, hours], 'no more than there are');
}

/**
 * The price at which it makes no difference. Buy in: (what buying brings beside the purchase) / units. Special order without a
 * channel: the price less its advantage for each unit; with one, the price before tax that leaves just what the rest of the
 * decision takes, with the fees at that price.
 */
function turningPrice(sheet: Sheet, about: About, perUnit: PerUnit, brought: Figure, taken: Figure): Figure | null {
  const { row, product, units } = about;
  const called = { name: 'Price that makes no difference', subject: product.name };
  if (units.amount === null || !isPositive(units.amount)) return null;
  if (perUnit.purchase !== null) {
    const beside = difference({ ...called, name: 'Taken beside the purchase' }, taken, perUnit.purchase);
    return quotient(called, difference({ ...called, name: 'Left for the purchase' }, brought, beside), units);
  }
  if (row.type !== 'special order') return null;
  if (row.channelId !== null) return orderTurningPrice(sheet, about, perUnit.orderContribution, brought, taken);
  const apart = difference({ ...called, name: 'Advantage' }, brought, taken);
  return difference(called, priceOf(sheet, about), quotient({ ...called, name: 'Advantage of a unit' }, apart, units));
}

function gone(sheet: Sheet): DecisionLines {
  const figure = ofMissingRow({ name: 'Decision', unit: money(sheet) }, 'a decision');
  return {
    units: ofMissingRow({ name: 'Units', unit: NUMBER }, 'a decision'),
    ...NOTHING,
    fixedGone: figure,
    fixedOnTop: figure,
    fixedStays: figure,
    oneTime: null,
    scarceHours: null,
    hoursThatCount: null,
    scarceWorth: null,
    hoursInPlan: null,
    advantage: figure,
    turningPrice: null,
  };
}
