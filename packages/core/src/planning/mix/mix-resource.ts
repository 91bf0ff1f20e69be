import type { RowOf } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  largest,
  missing,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  sum,
} from '../../figure/index.js';
import { MONTHS_A_YEAR } from '../../overhead/index.js';
import { committedCost, equipmentRate, labourRate, loadCost, unitOfResource } from '../../production/index.js';
import { convertedFor, materialPrice, receivedLine, stockOnHand } from '../../purchasing/index.js';
import { type Unit, unit } from '../../quantity/index.js';
import { type Calculation, HOUR, LOAD, money, MONTH, type Sheet, SPACE, YEAR } from '../../sheet/index.js';
import { planningGap } from '../gaps.js';
import { mixPeriod } from './periods/mix-periods.js';

/** What runs short in a mix plan: how much there is, and what more of it costs. */
export interface MixResourceTerms {
  readonly available: Figure;
  /** Overtime or an extra purchase, up to so much; null for none. */
  readonly extra: Figure | null;
  /** What the contributions hold for each unit of it; null for nothing. */
  readonly normalPrice: Figure | null;
  /** What an extra unit costs on top of that; null where there is no extra. */
  readonly premium: Figure | null;
}

type Row = RowOf<'mixResource'>;

/** What a resource is of, as an id of `resourceUse`: "labourGrade.id"; null for one of its own. */
export function sourceOfResource(row: Row): string | null {
  if (row.gradeId !== null) return `labourGrade.${row.gradeId}`;
  if (row.equipmentId !== null) return `equipment.${row.equipmentId}`;
  if (row.runId !== null) return `equipmentRun.${row.runId}`;
  if (row.materialId !== null) return `material.${row.materialId}`;
  return row.componentId === null ? null : `product.${row.componentId}`;
}

/** How a resource is called: as in the book, or as typed. */
export function nameOfResource(sheet: Sheet, row: Row): string {
  const source = sourceOfResource(row);
  if (source === null) return row.name.trim();
  const [kind, id = ''] = source.split('.');
  return sheet.row(kind as 'material', id)?.name ?? 'a resource';
}

/** In which unit a resource is counted. */
export function unitOfMixResource(sheet: Sheet, row: Row): Unit {
  const source = sourceOfResource(row);
  return source === null ? unit(row.unit) : unitOfResource(sheet, source);
}

/**
 * A resource of a mix plan. Available as typed, else what the book says for the period: paid hours x productive share; hours a
 * year of a machine / 12; its loads x the space of each; stock, and what is on order where that counts, and never less than
 * nothing. Normal price as typed, else what changes with a unit of it: pay that is not committed, energy, upkeep and wear by
 * the hour, the price of a material. Premium = price of extra - normal price. Gaps: nothing says how much there is; extra
 * without a price.
 */
export const mixResourceTerms: Calculation<MixResourceTerms> = {
  name: 'mixResource',
  meanings: {
    available: 'How much of it there is in the period of the plan.',
    extra: 'How much more can be had at the price of extra.',
    normalPrice: 'What the contributions hold for one unit of it already.',
    premium: 'What an extra unit costs above that.',
  },
  work(sheet, id) {
    const row = sheet.row('mixResource', id);
    if (row === undefined)
      return {
        available: ofMissingRow({ name: 'Available', unit: unit('each') }, 'a mix plan'),
        extra: null,
        normalPrice: null,
        premium: null,
      };
    const subject = nameOfResource(sheet, row);
    const counted = unitOfMixResource(sheet, row);
    const normalPrice = statedNormalPrice(sheet, row);
    const extra =
      row.extra === '0'
        ? null
        : sheet.input('mixResource', row, 'extra', { name: 'Extra, up to', subject, unit: counted });
    return {
      available:
        row.available === null
          ? availableOf(sheet, row, subject, counted)
          : sheet.input('mixResource', row, 'available', { name: 'Available', subject, unit: counted }),
      extra,
      normalPrice,
      premium: extra === null ? null : premiumOfExtra(sheet, row),
    };
  },
};

/** What the contributions hold for a unit of a resource: as typed, else by the book. */
function statedNormalPrice(sheet: Sheet, row: Row): Figure | null {
  const subject = nameOfResource(sheet, row);
  if (row.normalPrice === null) return normalPriceOf(sheet, row, subject);
  const perUnit = money(sheet).per(unitOfMixResource(sheet, row));
  return sheet.input('mixResource', row, 'normalPrice', { name: 'Normal price', subject, unit: perUnit });
}

/** What an extra unit of a resource costs above its normal price. Gap: extra without a price. */
export function premiumOfExtra(sheet: Sheet, row: Row): Figure {
  const subject = nameOfResource(sheet, row);
  const price = sheet.input('mixResource', row, 'extraPrice', {
    name: 'Price of extra',
    subject,
    unit: money(sheet).per(unitOfMixResource(sheet, row)),
    whenEmpty: (place) => planningGap('no-extra-price', place, { subject }),
  });
  const normalPrice = statedNormalPrice(sheet, row);
  return normalPrice === null ? price : difference({ name: 'Premium of extra', subject }, price, normalPrice);
}

function availableOf(sheet: Sheet, row: Row, subject: string, counted: Unit): Figure {
  const { months } = sheet.read(mixPeriod, row.planId);
  const unknown = () =>
    missing(
      { name: 'Available', subject, unit: counted },
      planningGap('no-mix-supply', { kind: 'mixResource', id: row.id, field: 'available' }, { subject }),
    );
  const grade = row.gradeId === null ? undefined : sheet.row('labourGrade', row.gradeId);
  if (grade !== undefined) return productiveHours(sheet, grade, months) ?? unknown();
  const machine = row.equipmentId === null ? undefined : sheet.row('equipment', row.equipmentId);
  if (machine !== undefined) return machineHours(sheet, machine, months) ?? unknown();
  if (row.runId !== null) return placesOf(sheet, row.runId, months) ?? unknown();
  return row.materialId === null ? unknown() : (stockOf(sheet, row, row.materialId, counted) ?? unknown());
}

function productiveHours(sheet: Sheet, grade: RowOf<'labourGrade'>, months: Figure): Figure | null {
  if (grade.paidHoursPerMonth === null) return null;
  const subject = grade.name;
  const paid = sheet.input('labourGrade', grade, 'paidHoursPerMonth', {
    name: 'Paid hours a month',
    subject,
    unit: HOUR.per(MONTH),
  });
  const { productiveShare } = sheet.read(labourRate, grade.id);
  const perMonth = percentOf({ name: 'Productive hours a month', subject }, productiveShare, paid);
  return multiplied({ name: 'Available', subject }, perMonth, months);
}

function machineHours(sheet: Sheet, machine: RowOf<'equipment'>, months: Figure): Figure | null {
  if (machine.hoursPerYear === null) return null;
  const subject = machine.name;
  const leaf = { name: 'Hours a year', subject, unit: HOUR.per(YEAR) };
  const perYear = sheet.input('equipment', machine, 'hoursPerYear', leaf);
  const perMonth = quotient({ name: 'Hours a month', subject }, perYear, MONTHS_A_YEAR);
  return multiplied({ name: 'Available', subject }, perMonth, months);
}

function placesOf(sheet: Sheet, runId: string, months: Figure): Figure | null {
  const run = sheet.row('equipmentRun', runId);
  const machine = run?.equipmentId == null ? undefined : sheet.row('equipment', run.equipmentId);
  const hours = machine === undefined ? null : machineHours(sheet, machine, months);
  if (run === undefined || hours === null || run.hoursPerRun === null || run.space === null) return null;
  const subject = run.name;
  const perLoad = sheet.input('equipmentRun', run, 'hoursPerRun', {
    name: 'Hours per load',
    subject,
    unit: HOUR.per(LOAD),
  });
  const space = sheet.input('equipmentRun', run, 'space', { name: 'Total space', subject, unit: SPACE.per(LOAD) });
  return multiplied({ name: 'Available', subject }, quotient({ name: 'Loads', subject }, hours, perLoad), space);
}

const NOTHING = (of: Unit) => constant('Nothing', '0', of, 'stock below zero counts as none');

function stockOf(sheet: Sheet, row: Row, materialId: string, counted: Unit): Figure | null {
  const subject = nameOfResource(sheet, row);
  const { quantity } = sheet.read(stockOnHand, materialId);
  const held =
    quantity === null || quantity.unit !== counted
      ? null
      : largest({ name: 'In stock', subject }, [quantity, NOTHING(counted)], 'never less than nothing');
  const ordered = row.countsOnOrder ? onOrder(sheet, materialId) : [];
  if (held === null && ordered.length === 0) return null;
  return ordered.length === 0
    ? held
    : sum({ name: 'Available', subject }, counted, [...(held === null ? [] : [held]), ...ordered]);
}

/** What of a material is ordered and not received, line by line, in its base unit. */
function onOrder(sheet: Sheet, materialId: string): Figure[] {
  const material = sheet.row('material', materialId);
  if (material === undefined) return [];
  const item = { kind: 'material', id: materialId, name: material.name } as const;
  return sheet.rowsOf('shipmentLine', 'materialId', materialId).flatMap((line) => {
    if (sheet.row('shipment', line.shipmentId)?.state !== 'ordered') return [];
    return convertedFor(sheet, item, sheet.read(receivedLine, line.id).toCome, line.unit, material.baseUnit) ?? [];
  });
}

/** What changes with a unit of a resource, and is in the contributions therefore; null where nothing does. */
function normalPriceOf(sheet: Sheet, row: Row, subject: string): Figure | null {
  const grade = row.gradeId === null ? undefined : sheet.row('labourGrade', row.gradeId);
  if (grade !== undefined) return grade.behaviour === 'variable' ? sheet.read(labourRate, grade.id).perHour : null;
  if (row.equipmentId !== null) return changingHour(sheet, row.equipmentId);
  if (row.materialId !== null) return sheet.read(materialPrice, row.materialId).perBaseUnit;
  if (row.componentId !== null) return sheet.read(committedCost, row.componentId).changing;
  const run = row.runId === null ? undefined : sheet.row('equipmentRun', row.runId);
  const perHour = run?.equipmentId == null ? null : changingHour(sheet, run.equipmentId);
  if (run === undefined || perHour === null) return null;
  return multiplied({ name: 'Normal price', subject }, perHour, sheet.read(loadCost, run.id).hoursPerPlace);
}

/** What changes with an hour of a machine; null where nothing does. */
const changingHour = (sheet: Sheet, machineId: string): Figure | null =>
  sheet.read(equipmentRate, machineId).changingPerHour;
