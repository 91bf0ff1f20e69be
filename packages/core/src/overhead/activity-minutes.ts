import { nameKey, type RowOf } from '@nuvar/book';
import { choice, constant, type Figure, multiplied, ofMissingRow, sum } from '../figure/index.js';
import { compared, ZERO } from '../number/index.js';
import { NUMBER, type Unit } from '../quantity/index.js';
import { type Calculation, LINE, MINUTE, type Sheet } from '../sheet/index.js';
import { overheadGap } from './gaps.js';
import { driverOfActivity, unitOfDriver } from './driver.js';

interface Term {
  readonly row: RowOf<'timeTerm'>;
  /** The category or tag that it holds for, as names are compared. */
  readonly wanted: string;
  readonly minutes: Figure;
}

/** The time equation of an activity: its base minutes, and the terms that come on top for some products. */
interface TimeEquation {
  readonly per: Unit;
  readonly base: Figure;
  readonly terms: readonly Term[];
}

/** Read once for each activity, not for each product that it is done for; the id is that of the activity. */
const timeEquation: Calculation<TimeEquation> = {
  name: 'timeEquation',
  meanings: {},
  work(sheet, activityId) {
    const activity = sheet.row('activity', activityId);
    if (activity === undefined)
      return { per: MINUTE, base: ofMissingRow({ name: 'Minutes each', unit: MINUTE }, 'an activity'), terms: [] };
    const per = MINUTE.per(unitOfDriver(sheet, driverOfActivity(activity)));
    const base = sheet.input('activity', activity, 'minutes', {
      name: 'Minutes each',
      subject: activity.name,
      unit: per,
      whenEmpty: (place) => overheadGap('no-minutes', place, { subject: activity.name }),
    });
    const terms = sheet.rowsOf('timeTerm', 'activityId', activityId).map((row) => ({
      row,
      wanted: nameKey(row.matches.trim()),
      minutes: sheet.input('timeTerm', row, 'minutes', {
        name: row.times === 'occurrence' ? 'Minutes more' : 'Minutes a line',
        subject: row.name,
        unit: row.times === 'occurrence' ? per : per.per(LINE),
      }),
    }));
    return { per, base, terms };
  },
};

/**
 * The minutes that each occurrence of an activity takes for a product: the base minutes + the terms of its time equation
 * that hold for the product (a category, a tag, one product, all), each once or for each line of the bill. Less than no time
 * counts as none. Source: Kaplan and Anderson, Time-Driven Activity-Based Costing. Gap: no base minutes yet.
 */
export function activityMinutes(sheet: Sheet, activity: RowOf<'activity'>, productId: string): Figure {
  const minutes = minutesByEquation(sheet, activity, productId);
  if (!isBelowZero(minutes)) return minutes;
  const none = constant('No time', '0', minutes.unit, 'an activity takes no less');
  return choice({ name: 'Minutes each', subject: activity.name }, none, 'the time equation gives less than no time');
}

/** The products for which the time equation of an activity gives less than no time, so that it counts as none. */
export const productsBelowNoTime = (sheet: Sheet, activity: RowOf<'activity'>): RowOf<'product'>[] =>
  sheet
    .all('product')
    .filter((product) => !product.archived && isBelowZero(minutesByEquation(sheet, activity, product.id)));

const isBelowZero = ({ amount }: Figure): boolean => amount !== null && compared(amount, ZERO) < 0;

function minutesByEquation(sheet: Sheet, { id, name }: RowOf<'activity'>, productId: string): Figure {
  const { per, base, terms } = sheet.read(timeEquation, id);
  if (terms.length === 0) return base;
  const product = sheet.row('product', productId);
  const more = terms
    .filter((term) => product !== undefined && holdsFor(term, product))
    .map(({ row, minutes }) =>
      row.times === 'occurrence' ? minutes : forEachLine(sheet, productId, row.name, minutes),
    );
  return more.length === 0 ? base : sum({ name: 'Minutes each', subject: name }, per, [base, ...more]);
}

function holdsFor({ row, wanted }: Term, product: RowOf<'product'>): boolean {
  switch (row.condition) {
    case 'category':
      return wanted !== '' && nameKey(product.category.trim()) === wanted;
    case 'tag':
      return wanted !== '' && product.tags.split(',').some((tag) => nameKey(tag.trim()) === wanted);
    case 'product':
      return row.productId === product.id;
    case 'all':
      return true;
  }
}

function forEachLine(sheet: Sheet, productId: string, subject: string, minutes: Figure): Figure {
  const count = String(sheet.idsOf('billLine', 'productId', productId).length);
  const lines = constant('Lines of the bill', count, LINE.times(NUMBER), 'the bill of materials');
  return multiplied({ name: 'Minutes more', subject }, minutes, lines);
}
