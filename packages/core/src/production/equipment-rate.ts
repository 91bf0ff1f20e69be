import type { RowOf } from '@nuvar/book';
import {
  difference,
  type Figure,
  gap,
  missing,
  ofMissingRow,
  percentOf,
  product,
  quotient,
  sum,
} from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { type Calculation, HOUR, money, type Sheet } from '../sheet/index.js';

const KILOWATT_HOUR = unit('kWh');

/**
 * What an hour of a machine costs: power x load % x electricity tariff + (price - worth at the end) / life in hours +
 * upkeep per hour. Each of the three is left out where nothing is said about it; where nothing is said at all, that is a
 * gap. Gap: a power without a tariff.
 */
export const equipmentRate: Calculation<{ perHour: Figure }> = {
  name: 'equipment',
  meanings: { perHour: 'What one hour of this machine costs: energy, wear and upkeep.' },
  work(sheet, id) {
    const row = sheet.row('equipment', id);
    const leaf = { name: 'Cost per hour', subject: row?.name ?? 'a machine', unit: money(sheet).per(HOUR) };
    if (row === undefined) return { perHour: ofMissingRow(leaf, 'a product') };
    const parts = [energy(sheet, row), wear(sheet, row), upkeep(sheet, row)].filter((part) => part !== null);
    const nothing = gap('no-equipment-cost', { kind: 'equipment', id, field: 'powerKilowatts' }, { subject: row.name });
    return { perHour: parts.length === 0 ? missing(leaf, nothing) : sum(leaf, leaf.unit, parts) };
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
    whenEmpty: (place) => gap('no-tariff', place, { subject }),
  });
  const drawn = percentOf({ name: 'Energy per hour', subject }, load, power);
  return product({ name: 'Cost of energy per hour', subject }, drawn, tariff);
}

function wear(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.purchasePrice === null || row.lifeHours === null) return null;
  const subject = row.name;
  const price = sheet.input('equipment', row, 'purchasePrice', {
    name: 'Price when bought',
    subject,
    unit: money(sheet),
  });
  const residual = sheet.input('equipment', row, 'residualValue', {
    name: 'Worth at the end',
    subject,
    unit: money(sheet),
  });
  const life = sheet.input('equipment', row, 'lifeHours', { name: 'Life', subject, unit: HOUR });
  return quotient(
    { name: 'Wear per hour', subject },
    difference({ name: 'Lost over its life', subject }, price, residual),
    life,
  );
}

function upkeep(sheet: Sheet, row: RowOf<'equipment'>): Figure | null {
  if (row.upkeepPerHour === null) return null;
  return sheet.input('equipment', row, 'upkeepPerHour', {
    name: 'Upkeep per hour',
    subject: row.name,
    unit: money(sheet).per(HOUR),
  });
}
