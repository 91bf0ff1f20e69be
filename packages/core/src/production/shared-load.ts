import type { RowOf } from '@nuvar/book';
import {
  choice,
  difference,
  type Figure,
  figureGap,
  missing,
  multiplied,
  percentOf,
  quotient,
} from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, HOUR, LOAD, money, type Sheet, SPACE } from '../sheet/index.js';
import { equipmentRate } from './equipment-rate.js';
import { productionGap } from './gaps.js';

/** A run of a machine that several products share. */
export interface LoadCost {
  readonly perRun: Figure;
  readonly perPlace: Figure;
  /** The hours of its machine that one place takes up. */
  readonly hoursPerPlace: Figure;
  /** What the empty space costs in each run where it is shown as idle; zero where those inside carry it. */
  readonly idlePerRun: Figure;
}

/**
 * Cost of a run = hours x cost per hour of its machine; cost of a place = that / the places that are filled, or / all
 * places where empty space is shown as idle: then cost of the run - filled places x cost of a place = idle.
 */
export const loadCost: Calculation<LoadCost> = {
  name: 'equipmentRun',
  meanings: {
    perRun: 'What one shared load costs, whatever is inside.',
    perPlace: 'What one place in a shared load costs.',
    hoursPerPlace: 'The machine hours that one place in a shared load takes up.',
    idlePerRun: 'The cost of empty space in a shared load that is not charged to what is inside.',
  },
  work(sheet, id) {
    const row = sheet.row('equipmentRun', id);
    const subject = row?.name ?? 'a shared run';
    const named = (name: string) => ({ name, subject });
    if (row === undefined || row.equipmentId === null) {
      const reason =
        row === undefined
          ? figureGap('row-missing', null, { subject: 'a product' })
          : productionGap('no-machine', { kind: 'equipmentRun', id, field: 'equipmentId' }, { subject });
      const none = (name: string, unit: typeof SPACE) => missing({ ...named(name), unit }, reason);
      const perRun = money(sheet).per(LOAD);
      return {
        perRun: none('Cost per run', perRun),
        perPlace: none('Cost per place', money(sheet).per(SPACE)),
        hoursPerPlace: none('Hours per place', HOUR.per(SPACE)),
        idlePerRun: none('Idle per run', perRun),
      };
    }
    const ask = (field: 'hoursPerRun' | 'space') => () =>
      productionGap('no-run-size', { kind: 'equipmentRun', id, field }, { subject });
    const hours = sheet.input('equipmentRun', row, 'hoursPerRun', {
      ...named('Hours per run'),
      unit: HOUR.per(LOAD),
      whenEmpty: ask('hoursPerRun'),
    });
    const perRun = multiplied(named('Cost per run'), hours, sheet.read(equipmentRate, row.equipmentId).perHour);
    const space = sheet.input('equipmentRun', row, 'space', {
      ...named('Space in all'),
      unit: SPACE.per(LOAD),
      whenEmpty: ask('space'),
    });
    const filled = filledSpace(sheet, row, space);
    const isIdleShown = row.emptySpace === 'shown as idle';
    const bearing = isIdleShown ? space : filled;
    const perPlace = quotient(named('Cost per place'), perRun, bearing);
    const hoursPerPlace = quotient(named('Hours per place'), hours, bearing);
    const carried = multiplied(named('Carried by what is inside'), perPlace, filled);
    return { perRun, perPlace, hoursPerPlace, idlePerRun: difference(named('Idle per run'), perRun, carried) };
  },
};

function filledSpace(sheet: Sheet, row: RowOf<'equipmentRun'>, space: Figure): Figure {
  const called = { name: 'Space filled', subject: row.name };
  if (row.filledPercent === '100') return choice(called, space, 'runs are usually full');
  const filled = sheet.input('equipmentRun', row, 'filledPercent', {
    name: 'Usually filled',
    subject: row.name,
    unit: PERCENT,
  });
  return percentOf(called, filled, space);
}
