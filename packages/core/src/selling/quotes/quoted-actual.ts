import { constant, difference, type Figure, multiplied, quotient, sum } from '../../figure/index.js';
import { labourHours, productCost } from '../../production/index.js';
import { unit } from '../../quantity/index.js';
import type { Calculation } from '../../sheet/index.js';
import { learntIn } from './learnt.js';
import { quotedOption } from './quote-option.js';

const JOB = unit('job');

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
 * counts as planned.
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
    const subject = product.name;
    const named = (name: string) => ({ name, subject });
    const units = sheet.input('quoteOption', option, 'units', {
      ...{ ...named('Units of the job'), unit: unit(product.outputUnit).per(JOB) },
    });
    const elements = sheet.read(productCost, product.id);
    const ofJob = (name: string, figure: Figure) => multiplied(named(name), figure, units);
    const materialsPlanned = ofJob('Materials planned', elements.directMaterials);
    const learnt = learntIn(sheet, option, product, units);
    const lessLearnt = (name: string, first: Figure, saved: Figure | undefined) =>
      saved === undefined ? first : difference(named(name), first, saved);
    const labour = lessLearnt('Labour planned, learnt', ofJob('Labour planned', elements.labour), learnt?.saved);
    const hours = ofJob('Hours planned', sheet.read(labourHours, product.id).perUnit);
    const hoursPlanned = lessLearnt('Hours planned, learnt', hours, learnt?.hoursSaved);
    const otherPlanned = sum(named('Other planned'), cost.unit, [
      ofJob('Other direct costs', elements.other),
      ofJob('Machines', elements.equipment),
    ]);
    const perHour = quotient(named('Labour cost of an hour'), labour, hoursPlanned);
    const more = (field: 'actualMaterials' | 'actualHours' | 'actualOther', planned: Figure, name: string): Figure =>
      option[field] === null
        ? constant('As planned', '0', planned.unit, 'not filled in')
        : difference(
            named(`${name}, more than planned`),
            sheet.input('quoteOption', option, field, { ...named(name), unit: planned.unit }),
            planned,
          );
    const materialsMore = more('actualMaterials', materialsPlanned, 'Materials needed');
    const hoursMore =
      option.actualHours === null
        ? constant('As planned', '0', cost.unit, 'not filled in')
        : multiplied(named('Hours, more than planned'), more('actualHours', hoursPlanned, 'Hours needed'), perHour);
    const otherMore = more('actualOther', otherPlanned, 'Other costs');
    const beforeMore = difference(named('Profit before contingency'), price, cost);
    const needed = sum(named('Needed more'), cost.unit, [materialsMore, hoursMore, otherMore]);
    return {
      ...{ materialsPlanned, hoursPlanned, otherPlanned, materialsMore, hoursMore, otherMore },
      profit: difference(named('Profit really left'), beforeMore, needed),
    };
  },
};
