import type { PoolUse } from '@nuvar/book';
import { choice, type Figure, sum } from '../../figure/index.js';
import { HOUR, money, MONTH, type Sheet } from '../../sheet/index.js';
import { unitOfDriver } from '../driver.js';
import { volumeFor } from '../driver-volume.js';
import { overheadGap } from '../gaps.js';
import type { Lot } from '../lot.js';
import { absorptionBasis, lotRate, noBasis } from '../lot-rate.js';
import { actualBasis } from '../overhead-actual.js';
import { poolCost, poolsOf } from '../pool-cost.js';
import type { MethodRow, OverheadMethod } from './method.js';

/**
 * Absorption by one rate for the whole book: fixed production overhead / its basis at normal capacity; overhead that is not
 * for production / the planned basis, since it never enters stock value.
 */
export const singleRate: OverheadMethod = {
  type: 'single rate',
  shareOut: (sheet, method) => ({
    lots: [productionLot(sheet, method), nonProductionLot(sheet, method)].filter((lot) => lot !== null),
    unassigned: [],
  }),
};

function productionLot(sheet: Sheet, method: MethodRow): Lot | null {
  const cost = costOf(sheet, 'production');
  if (cost === null) return null;
  const basis = absorptionBasis(sheet, {
    subject: '',
    driver: method.basis,
    capacity: method.capacity,
    normal: normalCapacity(sheet, method),
    actual: actualBasis(sheet, null, unitOfDriver(sheet, method.basis)),
    noActual: overheadGap(
      'no-actual-basis',
      { kind: 'overheadActual', id: method.id, field: 'basisQuantity' },
      {
        basis: method.basis,
        subject: 'the book',
      },
    ),
  });
  return lot(sheet, method, 'production', cost, basis);
}

/** Overhead that is not for production, over what the plan needs of the basis; null where there is none. */
export function nonProductionLot(sheet: Sheet, method: MethodRow): Lot | null {
  const cost = costOf(sheet, 'non-production');
  if (cost === null) return null;
  const planned = volumeFor(sheet, method.basis, 'non-production');
  const basis = choice({ name: 'Shared over', subject: '' }, planned, 'what the planned units need');
  return lot(sheet, method, 'non-production', cost, basis);
}

const LABELS: Readonly<Record<PoolUse, string>> = {
  production: 'Production overhead',
  'non-production': 'Non-production overhead',
};

function lot(sheet: Sheet, method: MethodRow, use: PoolUse, cost: Figure, basis: Figure): Lot {
  const place = { kind: 'costingMethod', id: method.id, field: 'basis' } as const;
  const rate = lotRate(
    `${LABELS[use]} per ${PER[method.basis]}`,
    '',
    cost,
    basis,
    noBasis(sheet, method.basis, '', place),
  );
  const bearing = { id: use, label: LABELS[use], driver: method.basis };
  return { id: use, label: LABELS[use], use, isVariable: false, cost, basis, rate, bearings: [bearing] };
}

const PER: Readonly<Record<MethodRow['basis'], string>> = {
  'production cost': 'unit of production cost',
  'sales value': 'unit of sales value',
  'labour hours': 'labour hour',
  'machine hours': 'machine hour',
  'labour cost': 'unit of labour cost',
  'material cost': 'unit of material cost',
  'prime cost': 'unit of prime cost',
  units: 'unit',
};

/** What the pools of a use hold together; null where there is no such pool. */
function costOf(sheet: Sheet, use: PoolUse): Figure | null {
  const pools = poolsOf(sheet).filter((pool) => pool.use === use);
  if (pools.length === 0) return null;
  const costs = pools.map(({ id }) => sheet.read(poolCost, id).toShareOut);
  return sum(`${LABELS[use]} per month`, money(sheet).per(MONTH), costs);
}

/** Normal capacity as typed for the method; of labour hours else that of the settings. */
function normalCapacity(sheet: Sheet, method: MethodRow): Figure | null {
  const leaf = { name: 'Normal capacity', unit: unitOfDriver(sheet, method.basis).per(MONTH) };
  const row = sheet.row('costingMethod', method.id);
  if (row !== undefined && row.normalCapacity !== null)
    return sheet.input('costingMethod', row, 'normalCapacity', leaf);
  const settings = sheet.settings();
  if (method.basis !== 'labour hours' || settings.normalLabourHoursPerMonth === null) return null;
  return sheet.input('settings', settings, 'normalLabourHoursPerMonth', {
    name: 'Normal productive hours',
    unit: HOUR.per(MONTH),
  });
}
