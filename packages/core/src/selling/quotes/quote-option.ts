import type { RowOf } from '@nuvar/book';
import { fullCost, fullCostBy } from '../../costing/index.js';
import {
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
import { PERCENT, unit } from '../../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';
import { salesTaxOf, THE_WHOLE } from '../../price/index.js';
import { unitBehaviour } from '../unit-cost.js';
import { isSent } from './is-sent.js';
import { type Learnt, learntIn } from './learnt.js';
import { optionAsSent } from './option-as-sent.js';
import type { QuotedOption } from './quoted-option.js';

const JOB = unit('job');

/**
 * An option of a quote: cost of the job = units x (full cost of a unit by the method of the option - labour that is learnt); total =
 * cost + contingency; price = the one that reaches the target of the quote, rounded up to the minor unit, or the typed one. Margin
 * m: total / (100 % - m); markup k: total x (100 % + k); profit P: total + P. Sales tax as for a sale of the product. With learning, the labour that
 * grows with the units counts at the average time of so many; set-up and overhead stay as for the first. A quote that was sent keeps
 * its price, cost and tax (`option-as-sent.ts`). Gaps: what the cost lacks; no target; a margin of 100 %.
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
    variableCost: 'What of the cost of the job changes with each unit.',
    costMoved: 'How much more the job would cost today than when the quote was sent.',
  },
  work(sheet, optionId) {
    const option = sheet.row('quoteOption', optionId);
    const quote = option && sheet.row('quote', option.quoteId);
    const product = option && sheet.row('product', option.productId);
    if (option === undefined || quote === undefined || product === undefined) return gone(sheet);
    const subject = product.name;
    const named = (name: string) => ({ name, subject });
    const units = sheet.input('quoteOption', option, 'units', {
      ...named('Units of the job'),
      unit: unit(product.outputUnit).per(JOB),
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
    const variableCost = variableOfJob(sheet, product, units, learnt);
    const today: QuotedOption = {
      unitCost: costOfUnit,
      averageTime: learnt?.average ?? null,
      labourSaved: learnt?.saved ?? null,
      cost,
      contingency,
      total,
      suggested,
      price,
      tax,
      profit,
      perUnit: quotient(named('Price of a unit'), price, units),
      paid: percentOf(named('Price with tax'), sum('Price with tax', PERCENT, [THE_WHOLE, tax]), price),
      margin: shareOf(named('Margin'), profit, price),
      contribution: difference(named('Contribution'), price, variableCost),
      variableCost,
      costMoved: null,
    };
    return isSent(quote, option) ? optionAsSent(sheet, option, units, today) : today;
  },
};

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
  const learnt = learntIn(sheet, option, product, units);
  const asFirst = multiplied(named('Cost of the job'), costOfUnit, units);
  return { costOfUnit, learnt, cost: lessLearnt(named('Cost of the job, with what is learnt'), asFirst, learnt) };
}

const lessLearnt = (called: { name: string; subject: string }, figure: Figure, learnt: Learnt | null): Figure =>
  learnt === null ? figure : difference(called, figure, learnt.saved);

function variableOfJob(sheet: Sheet, product: RowOf<'product'>, units: Figure, learnt: Learnt | null): Figure {
  const named = (name: string) => ({ name, subject: product.name });
  const { changingCost } = sheet.read(unitBehaviour, product.id);
  const changing = multiplied(named('Variable cost of the job'), changingCost, units);
  return learnt === null
    ? changing
    : difference(named('Variable cost, with what is learnt'), changing, learnt.variableSaved);
}

function priceFor(sheet: Sheet, quote: RowOf<'quote'>, total: Figure): Figure {
  const { subject } = total;
  const called = { name: 'Exact price for the target', subject };
  const target = sheet.input('quote', quote, 'target', {
    name: `Target ${quote.basis}`,
    subject: quote.name,
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
    unitCost: figure,
    averageTime: null,
    labourSaved: null,
    cost: figure,
    contingency: figure,
    total: figure,
    suggested: figure,
    price: figure,
    perUnit: figure,
    tax: figure,
    paid: figure,
    profit: figure,
    margin: figure,
    contribution: figure,
    variableCost: figure,
    costMoved: null,
  };
}
