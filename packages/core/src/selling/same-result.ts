import {
  constant,
  difference,
  type Figure,
  largest,
  missing,
  multiplied,
  percentOf,
  quotient,
  rounded,
  shareOf,
  sum,
} from '../figure/index.js';
import { decimal, ONE } from '../number/index.js';
import { plannedAt } from '../production/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, money, MONTH } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { pricePoint } from './price-point.js';
import { contributionOf, netProceedsAt } from './sale.js';
import { priceAfter, setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What has to be sold after a change to earn what is earned today. */
export interface SameResult {
  readonly contribution: Figure;
  readonly exactUnits: Figure;
  readonly units: Figure;
  readonly change: Figure;
}

/**
 * Units that earn the same after a change of the price in percent, of the variable cost of a unit and of the fixed costs of a
 * month: (planned units x contribution today + change of fixed costs) / contribution after the change, never below none; the
 * contribution from the real fees at the new price. Change = those units / planned units - 1. The id is
 * "point@price%@cost@fixed", each a decimal; the planned units are those of this channel. Rounded up to whole units beside the
 * exact ones. Gaps: nothing is left of a sale after the change; nothing is planned. Source: price against volume, Nagle &
 * Müller, The Strategy and Tactics of Pricing.
 */
export const sameResult: Calculation<SameResult> = {
  name: 'sameResult',
  meanings: {
    contribution: 'What each sale leaves after the change (contribution).',
    exactUnits: 'Units a month that earn the same after the change, not rounded.',
    units: 'Whole units a month that earn the same after the change.',
    change: 'By how many percent more or fewer units have to be sold to earn the same.',
  },
  work(sheet, id) {
    const [pointId = '', ofPrice = '0', ofCost = '0', ofFixed = '0'] = id.split('@');
    const { sold, price } = sheet.read(setPrice, pointId);
    if (sold === null) return { contribution: price, exactUnits: price, units: price, change: price };
    const { product, point, terms } = sold;
    const { name: subject } = product;
    const named = (name: string) => ({ name, subject });
    const planned = plannedAt(sheet, point);
    const before = sheet.read(pricePoint, pointId).contribution;
    const kept = constant('Of the price', decimal('100').plus(decimal(ofPrice)), PERCENT, 'the change that is tried');
    const after = priceAfter(percentOf(named('Price after the change'), kept, price), terms, subject);
    const cost = unitCostOf(sheet, product.id, point.channelId);
    const more = constant('Change of cost', decimal(ofCost), cost.changingCost.unit, 'the change that is tried');
    const changingCost = sum(named('Variable cost after the change'), cost.changingCost.unit, [
      cost.changingCost,
      more,
    ]);
    const contribution = contributionOf(
      netProceedsAt(after, terms, subject),
      { ...cost, changingCost },
      terms,
      subject,
    );
    const perMonth = money(sheet).per(MONTH);
    const fixed = constant('Change of fixed costs', decimal(ofFixed), perMonth, 'the change that is tried');
    const toEarn = sum(named('To be earned'), perMonth, [multiplied(named('Earned today'), planned, before), fixed]);
    const exactUnits = unitsFor(toEarn, contribution, planned, subject);
    return {
      contribution,
      exactUnits,
      units: rounded(named('Units that earn the same'), exactUnits, ONE, 'up'),
      change: shareOf(named('Change of units'), difference(named('More units'), exactUnits, planned), planned),
    };
  },
};

function unitsFor(toEarn: Figure, contribution: Figure, planned: Figure, subject: string): Figure {
  const called = { name: 'Units that earn the same, exact', subject };
  if (contribution.amount !== null && contribution.amount.lte(0))
    return missing({ ...called, unit: planned.unit }, sellingGap('discount-eats-all', null), [contribution]);
  const none = constant('None', '0', planned.unit, 'no fewer than none can be sold');
  return largest(called, [quotient(called, toEarn, contribution), none], 'never below none');
}
