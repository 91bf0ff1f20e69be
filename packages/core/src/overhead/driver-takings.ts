import type { RowOf } from '@nuvar/book';
import { constant, type Figure, multiplied, quotient, sum } from '../figure/index.js';
import {
  isCommittedMachine,
  loadCost,
  plannedOutput,
  plannedSales,
  type Taking,
  takings,
} from '../production/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import {
  BATCH,
  type Calculation,
  DRIVER_UNIT,
  LINE,
  MONTH,
  ORDER,
  OUTPUT,
  type Sheet,
  WHOLE_BOOK,
} from '../sheet/index.js';
import { activityMinutes } from './activity-minutes.js';
import {
  activityDriver,
  type Driver,
  driverOfActivity,
  gradeDriver,
  hoursIn,
  machineDriver,
  minutesOf,
} from './driver.js';
import { overheadGap } from './gaps.js';

/** How much of a driver a batch of a product takes by itself, or each of its units where the batch has no part in it. */
export interface DriverTaking {
  readonly driver: Driver;
  readonly of: 'batch' | 'unit';
  /** True where it is the same for a batch of any size. */
  readonly isOfAnyBatch: boolean;
  /** True where it goes along when the product goes into another one; an order is not of a component. */
  readonly goesAlong: boolean;
  readonly quantity: Figure;
  /** What is taken in a month, however much is made: the quantity is then its part in a unit. */
  readonly perMonth?: Figure;
  /** What is taken for each order, however large it is: the quantity is then its part in a unit on average. */
  readonly perOrder?: Figure;
}

const A_BATCH = constant('A batch', '1', NUMBER, 'definition');
const AN_ORDER = constant('An order', '1', NUMBER, 'definition');

/** What a product takes of all drivers by itself: what is inside its components is left out. */
export function ownDriverTakings(sheet: Sheet, productId: string): DriverTaking[] {
  const hours = sheet.read(takings, productId).flatMap((taking) => hoursOf(sheet, taking));
  const counted = [...hours, ...countsOf(sheet, productId), ...typedUses(sheet, productId)];
  return [...counted, ...minutesOfActivities(sheet, productId, counted)];
}

/**
 * Labour and machine hours: in all, in the department in which they are worked (no department is one too), and those of a
 * grade or a machine whose cost is committed.
 */
function hoursOf(sheet: Sheet, taking: Taking): DriverTaking[] {
  const isOfAnyBatch = taking.basis === 'batch';
  const each = (drivers: readonly Driver[], hours: Figure) =>
    drivers.map((driver) => ofBatch(driver, hours, isOfAnyBatch));
  if (taking.kind === 'equipmentUse') {
    const machine = machineHours(sheet, taking);
    return machine === null ? [] : each(machineDrivers(machine.row), machine.hours);
  }
  const { hours, of } = taking;
  // Hours inside components are taken from what the components take.
  const isInside = of?.kind === 'product' || taking.kind === 'product';
  return hours === null || isInside ? [] : each(labourDrivers(sheet, taking), hours);
}

function machineDrivers(row: RowOf<'equipment'> | undefined): Driver[] {
  const drivers = ['machine hours', hoursIn('machine hours', row?.departmentId ?? '')];
  return row !== undefined && isCommittedMachine(row) ? [...drivers, machineDriver(row.id)] : drivers;
}

function labourDrivers(sheet: Sheet, taking: Taking): Driver[] {
  const grade = taking.of?.kind === 'labourGrade' ? sheet.row('labourGrade', taking.of.id) : undefined;
  const drivers = ['labour hours', hoursIn('labour hours', departmentOf(sheet, taking, grade) ?? '')];
  return grade === undefined || grade.behaviour === 'variable' ? drivers : [...drivers, gradeDriver(grade.id)];
}

const ofBatch = (driver: Driver, quantity: Figure, isOfAnyBatch: boolean): DriverTaking => ({
  driver,
  of: 'batch',
  isOfAnyBatch,
  goesAlong: true,
  quantity,
});

function departmentOf(sheet: Sheet, { kind, id }: Taking, grade: RowOf<'labourGrade'> | undefined): string | null {
  if (kind === 'typedCost') return sheet.row('typedCost', id)?.departmentId ?? null;
  const own = kind === 'labourStep' ? sheet.row('labourStep', id)?.departmentId : null;
  return own ?? grade?.departmentId ?? null;
}

/** The hours of a machine; of a shared load, the hours that the places in it take up. */
function machineHours(
  sheet: Sheet,
  { of, quantity }: Taking,
): { hours: Figure; row: RowOf<'equipment'> | undefined } | null {
  if (of === null) return null;
  if (of.kind === 'equipment') return { hours: quantity, row: sheet.row('equipment', of.id) };
  const row = sheet.row('equipment', sheet.row('equipmentRun', of.id)?.equipmentId ?? '');
  const called = { name: 'Machine hours per batch', subject: of.name };
  return { hours: multiplied(called, quantity, sheet.read(loadCost, of.id).hoursPerPlace), row };
}

/** Batches, lines of the bill, orders and units. */
function countsOf(sheet: Sheet, productId: string): DriverTaking[] {
  const lines = sheet.idsOf('billLine', 'productId', productId).length;
  const inBill = constant('Lines of the bill', String(lines), LINE.per(BATCH), 'the bill of materials');
  const orders = ordersPerUnit(sheet, productId);
  const order: DriverTaking[] =
    orders === null
      ? []
      : [{ driver: 'orders', of: 'unit', isOfAnyBatch: false, goesAlong: false, quantity: orders, perOrder: AN_ORDER }];
  const perUnit = OUTPUT.per(unit(sheet.row('product', productId)?.outputUnit ?? 'each'));
  const one = constant('One unit', '1', perUnit, 'definition');
  return [
    ofBatch('batches', A_BATCH, true),
    ...(lines === 0 ? [] : [ofBatch('bill lines', inBill, true)]),
    ...order,
    { driver: 'units', of: 'unit', isOfAnyBatch: false, goesAlong: false, quantity: one },
  ];
}

/** Orders for each unit sold: planned units / units per order of their channel, over all planned units; null where nothing is sold. */
export function ordersPerUnit(sheet: Sheet, productId: string): Figure | null {
  const product = sheet.row('product', productId);
  if (product === undefined) return null;
  const named = (name: string) => ({ name, subject: product.name });
  const perUnit = unit(product.outputUnit);
  const sales = plannedSales(sheet, productId).flatMap(({ channelId, units }) => {
    const channel = sheet.row('channel', channelId ?? '');
    if (channel === undefined) return [];
    const leaf = { name: 'Units per order', subject: channel.name, unit: perUnit.per(ORDER) };
    return [{ units, perOrder: sheet.input('channel', channel, 'unitsPerOrder', leaf) }];
  });
  const [only] = sales;
  if (only === undefined) return null;
  const one = constant('One unit', '1', NUMBER, 'definition');
  if (sales.length === 1) return quotient(named('Orders per unit'), one, only.perOrder);
  const orders = sales.map(({ units, perOrder }) => quotient(named('Orders per month'), units, perOrder));
  const [units, inAll] = [
    sum(
      named('Planned units per month'),
      only.units.unit,
      sales.map((sale) => sale.units),
    ),
    sum(named('Orders per month'), ORDER.per(MONTH), orders),
  ];
  return units.amount?.isZero() ? null : quotient(named('Orders per unit'), inAll, units);
}

/** Uses of activities that are typed for the product. */
function typedUses(sheet: Sheet, productId: string): DriverTaking[] {
  const product = sheet.row('product', productId);
  return sheet.rowsOf('activityUse', 'productId', productId).flatMap((row) => {
    const activity = sheet.row('activity', row.activityId);
    if (product === undefined || activity === undefined || activity.driver !== 'typed') return [];
    return [typedUse(sheet, product, activity, row)];
  });
}

function typedUse(
  sheet: Sheet,
  product: RowOf<'product'>,
  activity: RowOf<'activity'>,
  row: RowOf<'activityUse'>,
): DriverTaking {
  const named = (name: string) => ({ name, subject: activity.name });
  const { name: productName, outputUnit } = product;
  const per = { unit: unit(outputUnit), batch: BATCH, order: ORDER, month: MONTH }[row.per];
  const stated = sheet.input('activityUse', row, 'amount', {
    ...named(`Driver units per ${row.per}`),
    unit: DRIVER_UNIT.per(per),
    whenEmpty: (place) => overheadGap('no-driver-units', place, { subject: activity.name, product: productName }),
  });
  const driver = activityDriver(activity.id);
  const ofUnit = (quantity: Figure, goesAlong: boolean): DriverTaking => ({
    driver,
    of: 'unit',
    isOfAnyBatch: false,
    goesAlong,
    quantity,
  });
  switch (row.per) {
    case 'unit':
      return ofUnit(stated, true);
    case 'batch':
      return ofBatch(driver, stated, true);
    case 'order': {
      const orders = ordersPerUnit(sheet, product.id);
      const none = constant('Not ordered', '0', ORDER.per(unit(outputUnit)), 'no planned sales in any channel');
      const quantity = multiplied(named('Driver units per unit'), stated, orders ?? none);
      return { ...ofUnit(quantity, false), perOrder: stated };
    }
    case 'month': {
      const place = { kind: 'product', id: product.id, field: 'plannedUnits' } as const;
      const none = overheadGap('no-planned-output', place, { subject: activity.name, product: productName });
      const output = sheet.read(plannedOutput, product.id).units;
      return {
        ...ofUnit(quotient(named('Driver units per unit'), stated, output, none), true),
        perMonth: stated,
      };
    }
  }
}

/** The minutes of each activity that has a time: as often as it is done x the minutes that its time equation gives the product. */
function minutesOfActivities(sheet: Sheet, productId: string, counted: readonly DriverTaking[]): DriverTaking[] {
  return sheet.read(timedActivities, WHOLE_BOOK).flatMap((activity) => {
    const driver = driverOfActivity(activity);
    const done = counted.filter((taking) => taking.driver === driver);
    if (done.length === 0) return [];
    const minutes = activityMinutes(sheet, activity, productId);
    const inMinutes = (times: Figure) => multiplied({ name: 'Minutes', subject: activity.name }, times, minutes);
    return done.map(({ perMonth, perOrder, ...taking }) => ({
      ...taking,
      driver: minutesOf(activity.id),
      quantity: inMinutes(taking.quantity),
      ...(perMonth === undefined ? {} : { perMonth: inMinutes(perMonth) }),
      ...(perOrder === undefined ? {} : { perOrder: inMinutes(perOrder) }),
    }));
  });
}

/** The activities that take up the time of a pool. Read by way of a result of its own: other activities move no product. */
const timedActivities: Calculation<readonly RowOf<'activity'>[]> = {
  name: 'timedActivities',
  meanings: {},
  work: (sheet) => sheet.all('activity').filter(({ resourcePoolId }) => resourcePoolId !== null),
};
