import { nameKey, type RowOf } from '@nuvar/book';
import { constant, type Figure, multiplied, sum } from '../figure/index.js';
import { NUMBER } from '../quantity/index.js';
import { LINE, MINUTE, type Sheet } from '../sheet/index.js';
import { overheadGap } from './gaps.js';
import { type Driver, unitOfDriver } from './driver.js';

/**
 * The minutes that each occurrence of an activity takes for a product: the base minutes + the terms of its time equation
 * that hold for the product (a category, a tag, one product, all), each once or for each line of the bill. Source: Kaplan
 * and Anderson, Time-Driven Activity-Based Costing. Gap: no base minutes yet.
 */
export function activityMinutes(sheet: Sheet, activity: RowOf<'activity'>, productId: string, driver: Driver): Figure {
  const product = sheet.row('product', productId);
  const per = MINUTE.per(unitOfDriver(sheet, driver));
  const base = sheet.input('activity', activity, 'minutes', {
    name: 'Minutes each',
    subject: activity.name,
    unit: per,
    whenEmpty: (place) => overheadGap('no-minutes', place, { subject: activity.name }),
  });
  const terms = sheet
    .rowsOf('timeTerm', 'activityId', activity.id)
    .filter((term) => product !== undefined && holdsFor(term, product))
    .map((term) => termMinutes(sheet, term, productId, per));
  return terms.length === 0 ? base : sum({ name: 'Minutes each', subject: activity.name }, per, [base, ...terms]);
}

function holdsFor({ condition, matches, productId }: RowOf<'timeTerm'>, product: RowOf<'product'>): boolean {
  const wanted = nameKey(matches.trim());
  switch (condition) {
    case 'category':
      return wanted !== '' && nameKey(product.category.trim()) === wanted;
    case 'tag':
      return wanted !== '' && product.tags.split(',').some((tag) => nameKey(tag.trim()) === wanted);
    case 'product':
      return productId === product.id;
    case 'all':
      return true;
  }
}

function termMinutes(sheet: Sheet, term: RowOf<'timeTerm'>, productId: string, per: Figure['unit']): Figure {
  if (term.times === 'occurrence')
    return sheet.input('timeTerm', term, 'minutes', { name: 'Minutes more', subject: term.name, unit: per });
  const each = sheet.input('timeTerm', term, 'minutes', {
    name: 'Minutes a line',
    subject: term.name,
    unit: per.per(LINE),
  });
  const count = String(sheet.idsOf('billLine', 'productId', productId).length);
  const lines = constant('Lines of the bill', count, LINE.times(NUMBER), 'the bill of materials');
  return multiplied({ name: 'Minutes more', subject: term.name }, each, lines);
}
