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
const SQUARE_METRE = unit('m²');

/** An hour of a machine, and its parts; null for what nothing is said about. Committed and changing are the whole again. */
export interface EquipmentRate {
  readonly perHour: Figure;
  readonly energyPerHour: Figure | null;
  readonly wearPerHour: Figure | null;
  readonly upkeepPerHour: Figure | null;
  readonly yearlyUpkeepPerHour: Figure | null;
  readonly floorPerHour: Figure | null;
  /** What of the hour comes whatever is made, and what changes with it; null where there is none of it. */
  readonly committedPerHour: Figure | null;
  readonly changingPerHour: Figure | null;
}

/**
 * What an hour of a machine costs: power x load % x electricity tariff + (price - residual value) / life in hours +
 * upkeep per hour + (upkeep of a year + floor space x cost of a square metre a year) / hours a year. Each part is left out
 * where nothing is said about it, and a gap where only half is said; where nothing is said at all, that is a gap. Wear over
 * years, the upkeep of a year and the floor come whatever is made. Gaps: a power without a tariff, a price without a life or
 * the reverse, a residual value above the price, a cost of a year without hours a year, floor space without its cost.
 */
export const equipmentRate: Calculation<EquipmentRate> = {
  name: 'equipment',
  meanings: {
    perHour: 'What one hour of this machine costs: energy, wear and upkeep.',
    energyPerHour: 'What the energy of one hour of this machine costs.',
    wearPerHour: 'The wear of this machine in one hour (depreciation by use, IAS 16.62).',
    upkeepPerHour: 'What the upkeep of this machine costs for each hour that it runs.',
    yearlyUpkeepPerHour: 'The upkeep of a year of this machine, spread over its hours of a year.',
    floorPerHour: 'The floor that this machine takes up, spread over its hours of a year.',
    committedPerHour:
      'What of an hour of this machine comes whatever is made: wear over years, upkeep of a year, floor.',
    changingPerHour: 'What of an hour of this machine changes with its use.',
  },
  work(sheet, id) {
    const row = sheet.row('equipment', id);
    const leaf = { name: 'Cost per hour', subject: row?.name ?? 'a machine', unit: money(sheet).per(HOUR) };
    if (row === undefined) return { ...NOTHING_SAID, perHour: ofMissingRow(leaf, 'a product') };
    const [energyPerHour, wearPerHour, upkeepPerHour] = [energy(sheet, row), wear(sheet, row), upkeep(sheet, row)];
    const [yearlyUpkeepPerHour, floorPerHour] = [yearlyUpkeep(sheet, row), floor(sheet, row)];
    const isCommittedWear = wearsByYears(row);
    const committed = [isCommittedWear ? wearPerHour : null, yearlyUpkeepPerHour, floorPerHour].filter(isSaid);
    const changing = [energyPerHour, isCommittedWear ? null : wearPerHour, upkeepPerHour].filter(isSaid);
    const nothing = productionGap(
      'no-equipment-cost',
      { kind: 'equipment', id, field: 'powerKilowatts' },
      { subject: row.name },
    );
    const parts = [energyPerHour, wearPerHour, upkeepPerHour, yearlyUpkeepPerHour, floorPerHour].filter(isSaid);
    const whole = (name: string, of: readonly Figure[]) =>
      of.length === 0 ? null : sum({ name, subject: row.name }, leaf.unit, of);
    return {
      perHour: parts.length === 0 ? missing(leaf, nothing) : sum(leaf, leaf.unit, parts),
      energyPerHour,
      wearPerHour,
      upkeepPerHour,
      yearlyUpkeepPerHour,
      floorPerHour,
      committedPerHour: whole('Committed cost of an hour', committed),
      changingPerHour: whole('Changes with an hour', changing),
    };
  },
};

const NOTHING_SAID = {
  energyPerHour: null,
  wearPerHour: null,
  upkeepPerHour: null,
  yearlyUpkeepPerHour: null,
  floorPerHour: null,
  committedPerHour: null,
  changingPerHour: null,
};

const isSaid = (part: Figure | null): part is Figure => part !== null;

/** True for a machine whose wear comes whatever it makes: its life is in years, and not in hours. */
export const wearsByYears = ({ lifeYears, lifeHours }: RowOf<'equipment'>): boolean =>
  lifeYears !== null && lifeHours === null;

/** True for a machine that costs something whatever it makes: wear over years, the upkeep of a year, floor. */
export const isCommittedMachine = (row: RowOf<'equipment'>): boolean =>
  (wearsByYears(row) && row.purchasePrice !== null) || row.upkeepPerYear !== null || row.floorSpace !== null;

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
    name: 'Renet proceeds',
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
  return multiplied({ name: 'Life in hours', subject }, years, hoursOfAYear(sheet, row));
}

function hoursOfAYear(sheet: Sheet, row: RowOf<'equipment'>): Figure {
  const subject = row.name;
  return sheet.input('equipment', row, 'hoursPerYear', {
    name: 'Hours a year',
    subject,
    unit: HOUR.per(YEAR),
    whenEmpty: (place) => productionGap('no-hours-a-year', place, { subject }),
  });
}

function upkeep(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.upkeepPerHour === null) return null;
  return sheet.input('equipment', row, 'upkeepPerHour', {
    name: 'Upkeep per hour',
    subject: row.name,
    unit: money(sheet).per(HOUR),
  });
}

function yearlyUpkeep(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  const perYear = yearlyUpkeepOf(sheet, row);
  return (
    perYear && quotient({ name: 'Upkeep of the year per hour', subject: row.name }, perYear, hoursOfAYear(sheet, row))
  );
}

function floor(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  const perYear = floorOfAYear(sheet, row);
  return perYear && quotient({ name: 'Floor per hour', subject: row.name }, perYear, hoursOfAYear(sheet, row));
}

/** The upkeep of a year of a machine, per year; null where it is not entered. */
export function yearlyUpkeepOf(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.upkeepPerYear === null) return null;
  const leaf = { name: 'Upkeep a year', subject: row.name, unit: money(sheet).per(YEAR) };
  return sheet.input('equipment', row, 'upkeepPerYear', leaf);
}

/** Floor space x the cost of a square metre a year; null where no floor space is entered. Gap: no cost of a square metre. */
export function floorOfAYear(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.floorSpace === null) return null;
  const subject = row.name;
  const space = sheet.input('equipment', row, 'floorSpace', { name: 'Floor space', subject, unit: SQUARE_METRE });
  const perSquareMetre = sheet.input('settings', sheet.settings(), 'floorCostPerYear', {
    name: 'Floor, a m² a year',
    unit: money(sheet).per(SQUARE_METRE).per(YEAR),
    whenEmpty: (place) => productionGap('no-floor-cost', place, { subject }),
  });
  return multiplied({ name: 'Floor a year', subject }, space, perSquareMetre);
}
