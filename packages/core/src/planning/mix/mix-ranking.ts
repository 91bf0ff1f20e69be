import { difference, type Figure, multiplied, ofMissingRow, quotient, sum } from '../../figure/index.js';
import { committedCost, productCost } from '../../production/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, money, WHOLE_BOOK } from '../../sheet/index.js';
import { productsOfMix } from './mix-quantities.js';
import { mixPeriod } from './periods/mix-periods.js';
import { mixProductTerms, nameInMix, outputInMix } from './mix-product.js';
import { mixResourceTerms, nameOfResource, unitOfMixResource } from './mix-resource.js';
import { mixUse } from './mix-use.js';
import { periodCosts } from '../period-costs.js';

/**
 * What making costs for each unit of a resource that is available = (fixed costs of the period + what changes of the conversion
 * cost of the mix tried by hand) / available. Conversion cost of a unit = cost before overhead - what is committed in it - direct
 * materials. Products that are not in the book have none.
 */
export const mixFactoryCost: Calculation<{ perUnit: Figure }> = {
  name: 'mixFactoryCost',
  meanings: { perUnit: 'What making costs in the period, for each unit of the resource that is available.' },
  work(sheet, resourceId) {
    const row = sheet.row('mixResource', resourceId);
    if (row === undefined)
      return { perUnit: ofMissingRow({ name: 'Factory cost', unit: money(sheet).per(unit('h')) }, 'a mix plan') };
    const subject = nameOfResource(sheet, row);
    const { months } = sheet.read(mixPeriod, row.planId);
    const conversions = productsOfMix(sheet, row.planId).flatMap((product) => {
      if (product.productId === null || product.quantity === '0') return [];
      const called = { name: 'Conversion cost', subject: nameInMix(sheet, product) };
      const leaf = { name: 'Quantity', subject: called.subject, unit: outputInMix(sheet, product) };
      const perUnit = difference(
        called,
        sheet.read(committedCost, product.productId).changing,
        sheet.read(productCost, product.productId).directMaterials,
      );
      return [multiplied(called, sheet.input('mixProduct', product, 'quantity', leaf), perUnit)];
    });
    const fixed = multiplied('Fixed costs of the period', sheet.read(periodCosts, WHOLE_BOOK).total, months);
    const cost = sum('Factory cost of the period', money(sheet), [fixed, ...conversions]);
    return {
      perUnit: quotient({ name: 'Factory cost', subject }, cost, sheet.read(mixResourceTerms, row.id).available),
    };
  },
};

/** How a product of a mix plan ranks by one resource. */
export interface MixRanking {
  readonly contribution: Figure;
  /** (Net revenue - direct materials) / use, over the factory cost; null for a product that is not in the book. */
  readonly throughputRatio: Figure | null;
}

/**
 * Contribution for each unit of a resource that a product takes, and its throughput ratio; the id is "product@resource", by their
 * rows in the plan. Above 1 a product earns more in an hour of the resource than an hour of making costs. Source: Goldratt's
 * throughput accounting, as management accounting textbooks give it (common practice).
 */
export const mixRanking: Calculation<MixRanking> = {
  name: 'mixRanking',
  meanings: {
    contribution:
      'What a product leaves for each unit of the resource that it takes (contribution per limiting factor).',
    throughputRatio:
      'What a product earns above its materials for each unit of the resource, over what making costs for it (throughput ratio).',
  },
  work(sheet, id) {
    const [productRowId = '', resourceId = ''] = id.split('@');
    const row = sheet.row('mixProduct', productRowId);
    const resource = sheet.row('mixResource', resourceId);
    if (row === undefined || resource === undefined)
      return {
        contribution: ofMissingRow({ name: 'Contribution', unit: money(sheet).per(unit('h')) }, 'a mix plan'),
        throughputRatio: null,
      };
    const subject = nameInMix(sheet, row);
    const { contribution, revenue } = sheet.read(mixProductTerms, row.id);
    const { perUnit } = sheet.read(mixUse, `${row.id}@${resource.id}`);
    const called = { name: `Contribution per ${unitOfMixResource(sheet, resource).text}`, subject };
    return {
      contribution: quotient(called, contribution, perUnit),
      throughputRatio:
        row.productId === null
          ? null
          : quotient(
              { name: 'Throughput ratio', subject },
              quotient(
                { name: 'Throughput', subject },
                difference(
                  { name: 'Net revenue less materials', subject },
                  revenue,
                  sheet.read(productCost, row.productId).directMaterials,
                ),
                perUnit,
              ),
              sheet.read(mixFactoryCost, resource.id).perUnit,
            ),
    };
  },
};
