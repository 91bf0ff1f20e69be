import type { RowOf } from '@nuvar/book';
import { fullCost, fullCostBy } from '../../costing/index.js';
import {
  constant,
  difference,
  type Figure,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  rounded,
  shareOf,
  sum,
  wholeOf,
} from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { decimal } from '../../number/index.js';
import { labourHours, productCost } from '../../production/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';
import { THE_WHOLE } from '../sale-terms.js';
import { salesTaxOf } from '../../price/index.js';
import { unitBehaviour } from '../unit-cost.js';
import { averageTime } from './learning.js';

const JOB = unit('job');

/** One way to do a job: what it costs, what it is offered at, and what that leaves. */
export interface QuotedOption {
  readonly unitCost: Figure;
  /** Null where nothing is learnt. */
  readonly averageTime: Figure | null;
  readonly labourSaved: Figure | null;
  readonly cost: Figure;
  readonly contingency: Figure;
  readonly total: Figure;
  readonly suggested: Figure;
  readonly price: Figure;
  readonly perUnit: Figure;
  /** The sales tax in percent of the price before tax. */
  readonly tax: Figure;
  readonly paid: Figure;
  readonly profit: Figure;
  readonly margin: Figure;
  readonly contribution: Figure;
}

/**
 * An option of a quote: cost of the job = units x (full cost of a unit by the method of the option - labour that is learnt); total =
 * cost + contingency; price = the one that reaches the target of the quote, rounded up to the minor unit, or the typed one. Margin
 * m: total / (100 % - m); markup k: total x (100 % + k); profit P: total + P. Sales tax as for a sale of the product. With learning, labour counts at the average time of
 * so many units; overhead stays as for the first. Gaps: what the cost lacks; no target; a margin of 100 %.
 */
export const quotedOption: Calculation<QuotedOption> = {
  name: 'quotedOption',
  meanings: {
    unitCost: 'What one unit costs in full by the method of this option.',
    averageTime: 'The average time of a unit, in percent of that of the first.',
    labourSaved: 'The labour of the job that is saved by learning.',
    cost: 'What the whole job costs.',
    contingency: 'What is added for what nobody can foresee.',
    total: 'What the job costs with its contingency.',
    suggested: 'The lowest price of the job that reaches the target.',
    price: 'The price of the job before tax.',
    perUnit: 'The price of one unit before tax.',
    tax: 'The sales tax on the job, in percent of its price before tax.',
    paid: 'What the customer pays for the job, with sales tax.',
    profit: 'What the job leaves after all its costs (profit).',
    margin: 'Profit in percent of the price before tax.',
    contribution: 'What the job leaves for the running costs and for profit (contribution).',
  },
  work(sheet, optionId) {
    const option = sheet.row('quoteOption', optionId);
    const quote = option && sheet.row('quote', option.quoteId);
    const product = option && sheet.row('product', option.productId);
    if (option === undefined || quote === undefined || product === undefined) return gone(sheet);
    const subject = product.name;
    const named = (name: string) => ({ name, subject });
    const units = sheet.input('quoteOption', option, 'units', {
      ...{ ...named('Units of the job'), unit: unit(product.outputUnit).per(JOB) },
    });
    const { costOfUnit, learnt, cost } = costOfJob(sheet, option, product, units);
    const contingency = percentOf(
      named('Contingency'),
      sheet.input('quote', quote, 'contingencyPercent', { name: 'Contingency', subject: quote.name, unit: PERCENT }),
      cost,
    );
    const total = sum(named('Cost with contingency'), cost.unit, [cost, contingency]);
    const suggested = rounded(
      named('Price for the target'),
      priceFor(sheet, quote, total),
      minorUnit(bookCurrency(sheet)),
      'up',
    );
    const price =
      option.price === null
        ? suggested
        : sheet.input('quoteOption', option, 'price', { ...named('Price of the job'), unit: cost.unit });
    const tax = salesTaxOf(sheet, product, undefined);
    const profit = difference(named('Profit'), price, total);
    return {
      ...{ unitCost: costOfUnit, averageTime: learnt?.average ?? null, labourSaved: learnt?.saved ?? null },
      ...{ cost, contingency, total, suggested, price, tax, profit },
      perUnit: quotient(named('Price of a unit'), price, units),
      paid: percentOf(named('Price with tax'), sum('Price with tax', PERCENT, [THE_WHOLE, tax]), price),
      margin: shareOf(named('Margin'), profit, price),
      contribution: difference(named('Contribution'), price, variableOfJob(sheet, product, units, learnt)),
    };
  },
};

interface Learnt {
  readonly average: Figure;
  readonly saved: Figure;
}

function costOfJob(
  sheet: Sheet,
  option: RowOf<'quoteOption'>,
  product: RowOf<'product'>,
  units: Figure,
): { readonly costOfUnit: Figure; readonly learnt: Learnt | null; readonly cost: Figure } {
  const named = (name: string) => ({ name, subject: product.name });
  const costOfUnit =
    option.methodId === null
      ? sheet.read(fullCost, product.id).fullCost
      : sheet.read(fullCostBy, `${product.id}@${option.methodId}`).fullCost;
  const learnt = learntLabour(sheet, option, product, units);
  const asFirst = multiplied(named('Cost of the job'), costOfUnit, units);
  return { costOfUnit, learnt, cost: lessLearnt(named('Cost of the job, with what is learnt'), asFirst, learnt) };
}

const lessLearnt = (called: { name: string; subject: string }, figure: Figure, learnt: Learnt | null): Figure =>
  learnt === null ? figure : difference(called, figure, learnt.saved);

function variableOfJob(sheet: Sheet, product: RowOf<'product'>, units: Figure, learnt: Learnt | null): Figure {
  const named = (name: string) => ({ name, subject: product.name });
  const { changingCost } = sheet.read(unitBehaviour, product.id);
  const changing = multiplied(named('Variable cost of the job'), changingCost, units);
  return lessLearnt(named('Variable cost, with what is learnt'), changing, learnt);
}

function learntLabour(
  sheet: Sheet,
  option: RowOf<'quoteOption'>,
  product: RowOf<'product'>,
  units: Figure,
): Learnt | null {
  if (option.learningPercent === null || option.learningPercent === '100') return null;
  const subject = product.name;
  const rate = sheet.input('quoteOption', option, 'learningPercent', { name: 'Learning rate', subject, unit: PERCENT });
  const average = averageTime(rate, decimal(option.units));
  const labour = multiplied({ name: 'Labour of the job', subject }, sheet.read(productCost, product.id).labour, units);
  const less = difference('Time saved, of that of the first', THE_WHOLE, average);
  return { average, saved: percentOf({ name: 'Labour saved by learning', subject }, less, labour) };
}

function priceFor(sheet: Sheet, quote: RowOf<'quote'>, total: Figure): Figure {
  const { subject } = total;
  const called = { name: 'Exact price for the target', subject };
  const target = sheet.input('quote', quote, 'target', {
    ...{ name: `Target ${quote.basis}`, subject: quote.name },
    unit: quote.basis === 'profit' ? total.unit : PERCENT,
    whenEmpty: (place) => sellingGap('no-target', place, { subject: quote.name }),
  });
  if (quote.basis === 'profit') return sum(called, total.unit, [total, target]);
  if (quote.basis === 'markup')
    return percentOf(called, sum('Cost with the markup', PERCENT, [THE_WHOLE, target]), total);
  const reason = sellingGap('margin-takes-all', target.place);
  return wholeOf(called, total, difference('What the margin leaves', THE_WHOLE, target), reason);
}

function gone(sheet: Sheet): QuotedOption {
  const figure = ofMissingRow({ name: 'Option', unit: money(sheet).per(JOB) }, 'an option of a quote');
  return {
    ...{ unitCost: figure, averageTime: null, labourSaved: null, cost: figure, contingency: figure, total: figure },
    ...{ suggested: figure, price: figure, perUnit: figure, tax: figure, paid: figure, profit: figure, margin: figure },
    contribution: figure,
  };
}

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
    const { price, cost, labourSaved } = sheet.read(quotedOption, optionId);
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
    const labourFirst = ofJob('Labour planned', elements.labour);
    const labour =
      labourSaved === null ? labourFirst : difference(named('Labour planned, learnt'), labourFirst, labourSaved);
    const hours = ofJob('Hours planned', sheet.read(labourHours, product.id).perUnit);
    const { averageTime: average } = sheet.read(quotedOption, optionId);
    const hoursPlanned = average === null ? hours : percentOf(named('Hours planned, learnt'), average, hours);
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
