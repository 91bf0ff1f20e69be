import type { RowOf } from '@nuvar/book';
import {
  difference,
  type Figure,
  missing,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  sum,
} from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { type Calculation, HOUR, money, type Sheet, YEAR } from '../sheet/index.js';
import { productionGap } from './gaps.js';

const KILOWATT_HOUR = unit('kWh');

/** An hour of a machine, and its parts; null for what nothing is said about. */
export interface EquipmentRate {
  readonly perHour: Figure;
  readonly energyPerHour: Figure | null;
  readonly wearPerHour: Figure | null;
  readonly upkeepPerHour: Figure | null;
}

/**
 * What an hour of a machine costs: power x load % x electricity tariff + (price - residual value) / life in hours +
 * upkeep per hour. Each of the three is left out where nothing is said about it, and a gap where only half is said; where
 * nothing is said at all, that is a gap. Gaps: a power without a tariff, a price without a life or the reverse, a residual
 * value above the price.
 */
export const equipmentRate: Calculation<EquipmentRate> = {
  name: 'equipment',
  meanings: {
    perHour: 'What one hour of this machine costs: energy, wear and upkeep.',
    energyPerHour: 'What the energy of one hour of this machine costs.',
    wearPerHour: 'The wear of this machine in one hour (depreciation by use, IAS 16.62).',
    upkeepPerHour: 'What the upkeep of this machine costs for each hour that it runs.',
  },
  work(sheet, id) {
    const row = sheet.row('equipment', id);
    const leaf = { name: 'Cost per hour', subject: row?.name ?? 'a machine', unit: money(sheet).per(HOUR) };
    if (row === undefined) {
      const perHour = ofMissingRow(leaf, 'a product');
      return { perHour, energyPerHour: null, wearPerHour: null, upkeepPerHour: null };
    }
    const [energyPerHour, wearPerHour, upkeepPerHour] = [energy(sheet, row), wear(sheet, row), upkeep(sheet, row)];
    const parts = [energyPerHour, wearPerHour, upkeepPerHour].filter((part) => part !== null);
    const nothing = productionGap(
      'no-equipment-cost',
      { kind: 'equipment', id, field: 'powerKilowatts' },
      { subject: row.name },
    );
    const perHour = parts.length === 0 ? missing(leaf, nothing) : sum(leaf, leaf.unit, parts);
    return { perHour, energyPerHour, wearPerHour, upkeepPerHour };
  },
};

function energy(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.powerKilowatts === null) return null;
  const subject = row.name;
  const settings = sheet.settings();
  const power = sheet.input('equipment', row, 'powerKilowatts', {
    name: 'Power',
    subject,
    unit: KILOWATT_HOUR.per(HOUR),
  });
  const load = sheet.input('equipment', row, 'loadPercent', { name: 'Load', subject, unit: PERCENT });
  const tariff = sheet.input('settings', settings, 'electricityPerKilowattHour', {
    name: 'Electricity tariff',
    unit: money(sheet).per(KILOWATT_HOUR),
    whenEmpty: (place) => productionGap('no-tariff', place, { subject }),
  });
  const drawn = percentOf({ name: 'Energy per hour', subject }, load, power);
  return multiplied({ name: 'Cost of energy per hour', subject }, drawn, tariff);
}

/**
 * What it loses over its life / life in hours; a life in years is as many hours as it can run in them. Gaps: a price without a
 * life or the reverse, years without hours a year, worth more at the end than it cost.
 */
function wear(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.purchasePrice === null && row.lifeHours === null && row.lifeYears === null) return null;
  const subject = row.name;
  const price = sheet.input('equipment', row, 'purchasePrice', {
    name: 'Purchase price',
    subject,
    unit: money(sheet),
    whenEmpty: (place) => productionGap('no-purchase-price', place, { subject }),
  });
  const residual = sheet.input('equipment', row, 'residualValue', {
    name: 'Resale value',
    subject,
    unit: money(sheet),
  });
  const life = lifeInHours(sheet, row);
  const called = { name: 'Wear per hour', subject };
  const lost = difference({ name: 'Lost over its life', subject }, price, residual);
  if (lost.amount?.isNegative()) {
    const place = { kind: 'equipment', id: row.id, field: 'residualValue' } as const;
    const leaf = { ...called, unit: money(sheet).per(HOUR) };
    return missing(leaf, productionGap('residual-above-price', place, { subject }), [lost, life]);
  }
  return quotient(called, lost, life);
}

function lifeInHours(sheet: Sheet, row: RowOf<'equipment'>): Figure {
  const subject = row.name;
  if (row.lifeYears === null || row.lifeHours !== null)
    return sheet.input('equipment', row, 'lifeHours', {
      name: 'Life',
      subject,
      unit: HOUR,
      whenEmpty: (place) => productionGap('no-life', place, { subject }),
    });
  const years = sheet.input('equipment', row, 'lifeYears', { name: 'Life', subject, unit: YEAR });
  const hours = sheet.input('equipment', row, 'hoursPerYear', {
    name: 'Hours a year',
    subject,
    unit: HOUR.per(YEAR),
    whenEmpty: (place) => productionGap('no-hours-a-year', place, { subject }),
  });
  return multiplied({ name: 'Life in hours', subject }, years, hours);
}

function upkeep(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.upkeepPerHour === null) return null;
  return sheet.input('equipment', row, 'upkeepPerHour', {
    name: 'Upkeep per hour',
    subject: row.name,
    unit: money(sheet).per(HOUR),
  });
}
