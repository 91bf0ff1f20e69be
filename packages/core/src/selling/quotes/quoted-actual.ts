import { constant, difference, type Figure, multiplied, quotient, sum } from '../../figure/index.js';
import type { Calculation } from '../../sheet/index.js';
import { quotedOption } from './quote-option.js';
import { quotedPlan } from './quoted-plan.js';

/** What a job really needed, against what was planned. */
export interface QuotedActual {
  readonly materialsPlanned: Figure;
  readonly hoursPlanned: Figure;
  readonly otherPlanned: Figure;
  readonly materialsMore: Figure;
  readonly hoursMore: Figure;
  readonly otherMore: Figure;
  /** Profit less what was needed more. */
  readonly profit: Figure;
}

/**
 * A job that was done: materials, hours and other costs that were really needed against the plan; hours at the planned labour cost
 * of an hour. Profit really left = profit of the option before contingency - all that was needed more. What is not filled in
 * counts as planned; of a quote that was sent, as it was planned then.
 */
export const quotedActual: Calculation<QuotedActual> = {
  name: 'quotedActual',
  meanings: {
    materialsPlanned: 'Materials that were planned for the job.',
    hoursPlanned: 'Labour hours that were planned for the job.',
    otherPlanned: 'Other direct costs and machines that were planned for the job.',
    materialsMore: 'What the materials cost more than planned; below zero less.',
    hoursMore: 'What the hours cost more than planned, at the planned cost of an hour.',
    otherMore: 'What the rest cost more than planned.',
    profit: 'What the job really left.',
  },
  work(sheet, optionId) {
    const option = sheet.row('quoteOption', optionId);
    const product = option && sheet.row('product', option.productId);
    const { price, cost } = sheet.read(quotedOption, optionId);
    if (option === undefined || product === undefined) {
      const none = { materialsMore: price, hoursMore: price, otherMore: price, profit: price };
      return { materialsPlanned: price, hoursPlanned: price, otherPlanned: price, ...none };
    }
    const named = (name: string) => ({ name, subject: product.name });
    const planned = sheet.read(quotedPlan, optionId);
    const perHour = quotient(named('Labour cost of an hour'), planned.labour, planned.hours);
    const more = (field: 'actualMaterials' | 'actualHours' | 'actualOther', of: Figure, name: string): Figure =>
      option[field] === null
        ? constant('As planned', '0', of.unit, 'not filled in')
        : difference(
            named(`${name}, more than planned`),
            sheet.input('quoteOption', option, field, { ...named(name), unit: of.unit }),
            of,
          );
    const materialsMore = more('actualMaterials', planned.materials, 'Materials needed');
    const hoursMore =
      option.actualHours === null
        ? constant('As planned', '0', cost.unit, 'not filled in')
        : multiplied(named('Hours, more than planned'), more('actualHours', planned.hours, 'Hours needed'), perHour);
    const otherMore = more('actualOther', planned.other, 'Other costs');
    const beforeMore = difference(named('Profit before contingency'), price, cost);
    const needed = sum(named('Needed more'), cost.unit, [materialsMore, hoursMore, otherMore]);
    return {
      materialsPlanned: planned.materials,
      hoursPlanned: planned.hours,
      otherPlanned: planned.other,
      materialsMore,
      hoursMore,
      otherMore,
      profit: difference(named('Profit really left'), beforeMore, needed),
    };
  },
};
