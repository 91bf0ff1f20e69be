import { MONTH_FIELDS, type RowOf } from '@nuvar/book';
import { choice, constant, type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { productionGap } from './gaps.js';

/** The units that are planned of a product in one channel. */
export interface PlannedVolume {
  /** In the average month of a year. */
  readonly average: Figure;
}

const MONTHS = constant('Months of a season', '12', NUMBER, 'calendar');

/**
 * Planned units of a product in a channel, in the average month: as typed; where single months are typed, the sum of the
 * twelve months / 12.
 */
export const plannedVolume: Calculation<PlannedVolume> = {
  name: 'plannedVolume',
  meanings: { average: 'Units of the product that are planned to be sold in this channel in the average month.' },
  work(sheet, id) {
    const row = sheet.row('plannedVolume', id);
    const called = { name: 'Planned units per month', subject: productName(sheet, row) };
    if (row === undefined || sheet.idsOf('plannedMonth', 'volumeId', id).length === 0)
      return { average: statedUnits(sheet, id) };
    const months = MONTH_FIELDS.map((_name, index) => sheet.read(plannedVolumeMonth, `${id}@${index + 1}`).units);
    const inAll = sum(
      { name: 'Planned units in twelve months', subject: called.subject },
      unitsAMonth(sheet, row),
      months,
    );
    return { average: quotient(called, inAll, MONTHS) };
  },
};

/**
 * Planned units of one month: as typed for it, else the average month x the weight of the month x 12 / all weights of the
 * season. The id is "volume@month", months counted from 1. Gaps: no units planned; a season of which every month is zero.
 */
export const plannedVolumeMonth: Calculation<{ units: Figure }> = {
  name: 'plannedVolumeMonth',
  meanings: { units: 'Units of the product that are planned to be sold in this channel in this month.' },
  work(sheet, id) {
    const [volumeId = '', number = '1'] = id.split('@');
    const row = sheet.row('plannedVolume', volumeId);
    const subject = productName(sheet, row);
    const called = { name: 'Planned units', subject };
    const month = Number(number);
    const typed = sheet.rowsOf('plannedMonth', 'volumeId', volumeId).find((each) => each.month === month);
    if (typed !== undefined) {
      const leaf = { name: 'Planned units as typed', subject, unit: unitsAMonth(sheet, row) };
      return { units: choice(called, sheet.input('plannedMonth', typed, 'units', leaf), 'as typed for this month') };
    }
    const average = statedUnits(sheet, volumeId);
    const season = row?.seasonId == null ? undefined : sheet.row('season', row.seasonId);
    return { units: season === undefined ? average : inSeason(sheet, season, average, month) };
  },
};

function inSeason(sheet: Sheet, season: RowOf<'season'>, average: Figure, month: number): Figure {
  const called = (name: string) => ({ name, subject: season.name });
  const weights = MONTH_FIELDS.map((field) =>
    sheet.input('season', season, field, { ...called(`Weight of ${field}`), unit: NUMBER }),
  );
  const all = sum(called('Weights of all months'), NUMBER, weights);
  const place = { kind: 'season', id: season.id, field: 'january' } as const;
  const none = productionGap('season-of-zero', place, { subject: season.name });
  const shape = quotient(
    called('Against the average month'),
    multiplied(called('Twelve times'), weights[month - 1] as Figure, MONTHS),
    all,
    none,
  );
  return multiplied({ name: 'Planned units', subject: average.subject }, average, shape);
}

function statedUnits(sheet: Sheet, id: string): Figure {
  const row = sheet.row('plannedVolume', id);
  const subject = productName(sheet, row);
  const leaf = { name: 'Planned units per month', subject, unit: unitsAMonth(sheet, row) };
  const whenEmpty = (place: Parameters<typeof productionGap>[1]) =>
    productionGap('no-planned-units', place, { subject });
  return row === undefined
    ? constant('Planned units per month', '0', leaf.unit, 'nothing is planned')
    : sheet.input('plannedVolume', row, 'unitsPerMonth', { ...leaf, whenEmpty });
}

const productName = (sheet: Sheet, row: RowOf<'plannedVolume'> | undefined) =>
  (row && sheet.row('product', row.productId)?.name) ?? 'this product';

const unitsAMonth = (sheet: Sheet, row: RowOf<'plannedVolume'> | undefined) =>
  unit((row && sheet.row('product', row.productId)?.outputUnit) ?? 'each').per(MONTH);
