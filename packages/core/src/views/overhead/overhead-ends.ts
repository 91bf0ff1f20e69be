import type { RowOf } from '@nuvar/book';
import { compared, decimal, isPositive } from '../../number/index.js';
import {
  proratedOverhead,
  chargeOut,
  driverOfActivity,
  methodOf,
  methodOfTheBook,
  openDays,
  overhead,
  overheadLot,
  overheadTotals,
  productOverhead,
  productsBelowNoTime,
  sharedOut,
  workNeeded,
} from '../../overhead/index.js';
import { labourHours } from '../../production/index.js';
import { type Evaluation, numberIn, WHOLE_BOOK } from '../../sheet/index.js';
import { jointEnds } from '../production/joint-ends.js';
import type { Add, AddGaps } from '../general/loose-end.js';

/** What keeps the running costs from being shared out whole by the method of the book. */
export function overheadEnds(evaluation: Evaluation, add: Add, addGaps: AddGaps): void {
  const { sheet } = evaluation;
  const figures = evaluation.read(overhead, WHOLE_BOOK);
  const settings = sheet.settings();
  addGaps(figures.total.gaps, []);
  addGaps(evaluation.read(openDays, WHOLE_BOOK).perMonth.gaps, []);
  if (sheet.all('runningCost').length === 0) {
    add(
      'no-running-costs',
      'No running costs yet: rent, insurance, the yearly bills',
      { kind: 'runningCost', id: settings.id, field: 'amount' },
      sheet.all('product').map((each) => each.id),
    );
    return;
  }
  unabsorbedEnds(evaluation, add);
  leftEnds(evaluation, add, addGaps);
  withoutShareEnds(evaluation, add);
}

/** Capacity that the plan does not use, or a plan beyond normal capacity. */
function unabsorbedEnds(evaluation: Evaluation, add: Add): void {
  const { sheet, read } = evaluation;
  const normalHours = { kind: 'settings', id: sheet.settings().id, field: 'normalLabourHoursPerMonth' } as const;
  const { plannedHours } = read(overhead, WHOLE_BOOK);
  const { unused } = read(overheadTotals, methodOfTheBook(sheet));
  const normal = sheet.settings().normalLabourHoursPerMonth;
  const isAbove = normal !== null && plannedHours.amount !== null && compared(plannedHours.amount, decimal(normal)) > 0;
  if (unused.amount !== null && !unused.amount.toDecimalPlaces(2).isZero())
    add(
      'overhead-not-shared-out',
      'Some running costs are unabsorbed: the plan needs less than the normal capacity of a month',
      normalHours,
      [],
    );
  else if (isAbove)
    add(
      'plan-above-normal-hours',
      'The plan needs more productive hours than a normal month has: can so much be made?',
      normalHours,
      [],
    );
}

/** What the method of the book shares out over nobody, and rates that cannot be worked out. */
function leftEnds(evaluation: Evaluation, add: Add, addGaps: AddGaps): void {
  const methodId = methodOfTheBook(evaluation.sheet);
  const { lots, unassigned } = evaluation.read(sharedOut, methodId);
  for (const { label, why, gap } of unassigned)
    if (gap !== null) add('pool-not-shared-out', `${label} is not shared out: ${why}`, gap.place, []);
  for (const { id } of lots) addGaps(evaluation.read(overheadLot, `${methodId}@${id}`).rate.gaps, []);
}

/** Products that are sold and bear no overhead. */
function withoutShareEnds({ sheet, read }: Evaluation, add: Add): void {
  const { total } = read(overhead, WHOLE_BOOK);
  if (total.amount === null || !isPositive(total.amount)) return;
  const goesByHours = methodOf(sheet, methodOfTheBook(sheet)).type === 'single rate';
  for (const product of sheet.all('product')) {
    if (product.archived || sheet.rowsOf('pricePoint', 'productId', product.id).length === 0) continue;
    const hours = read(labourHours, product.id).perUnit;
    const isWithout = goesByHours ? hours.amount?.isZero() : read(productOverhead, product.id).total.amount?.isZero();
    if (isWithout)
      add(
        'no-hours-in-it',
        `${product.name} has no labour, so it bears no overhead`,
        { kind: 'product', id: product.id, field: 'name' },
        [product.id],
      );
  }
}

/** Words by which a running cost is told to be pay, as bookkeepers write them. */
const PAY = /\b(wages?|salar(y|ies)|payroll|pay)\b/i;

/** What else stands under Run: pay that may be counted twice, plans beyond what can be done, months and rates that lack something. */
export function runEnds(evaluation: Evaluation, add: Add, addGaps: AddGaps): void {
  const { sheet, read } = evaluation;
  for (const cost of sheet.all('runningCost')) if (isCountedTwice(evaluation, cost)) addTwice(cost, add);
  for (const activity of sheet.all('activity')) beyondPractical(evaluation, activity, add);
  for (const { id } of sheet.all('chargeOutRate')) addGaps(read(chargeOut, id).perHourOneDayLess.gaps, []);
  for (const { id } of sheet.all('overheadActual')) addGaps(read(proratedOverhead, id).toCostOfSales.gaps, []);
  for (const activity of sheet.all('activity')) belowNoTime(evaluation, activity, add);
  jointEnds(evaluation, add, addGaps);
}

/** Pay among the running costs, while products hold labour at a grade: both would bear it. */
function isCountedTwice({ sheet }: Evaluation, { name, amount }: RowOf<'runningCost'>): boolean {
  if (amount === null || Number(amount) === 0 || sheet.all('labourStep').length === 0) return false;
  return (
    PAY.test(name) || sheet.all('labourGrade').some((grade) => name.toLowerCase().includes(grade.name.toLowerCase()))
  );
}

const addTwice = ({ id, name }: RowOf<'runningCost'>, add: Add) =>
  add(
    'counted-twice',
    `${name} is a running cost, and products hold labour too: is it counted twice?`,
    { kind: 'runningCost', id, field: 'amount' },
    [],
  );

/** An activity of which the plan needs more than can be done. */
function beyondPractical({ sheet, read }: Evaluation, activity: RowOf<'activity'>, add: Add): void {
  const driver = driverOfActivity(activity);
  const { perMonth: planned } = read(workNeeded, driver);
  if (activity.practicalVolume === null || planned.amount === null) return;
  if (compared(planned.amount, decimal(activity.practicalVolume)) <= 0) return;
  const needs = numberIn(sheet, planned.amount.toSignificantDigits(4).toFixed());
  const can = numberIn(sheet, activity.practicalVolume);
  const place = { kind: 'activity', id: activity.id, field: 'practicalVolume' } as const;
  add('over-practical-volume', `${activity.name}: the plan needs ${needs} a month, and ${can} can be done`, place, []);
}

/** An activity whose time equation gives less than no time for some product: there it counts as none. */
function belowNoTime({ sheet }: Evaluation, activity: RowOf<'activity'>, add: Add): void {
  const products = productsBelowNoTime(sheet, activity);
  if (products.length === 0) return;
  const named = products.map(({ name }) => name).join(', ');
  add(
    'time-below-zero',
    `the time equation of ${activity.name} gives less than no time for ${named}: it counts as none`,
    { kind: 'activity', id: activity.id, field: 'minutes' },
    products.map(({ id }) => id),
  );
}
