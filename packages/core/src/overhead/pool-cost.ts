import type { PoolUse, RowOf } from '@nuvar/book';
import { type Figure, sum } from '../figure/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { runningCost } from './running-cost.js';

/** The id under which running costs are added up that are in no pool: they are for production. */
export const NO_POOL = 'none';

/** A pool as methods see it. */
export interface Pool {
  readonly id: string;
  readonly name: string;
  readonly use: PoolUse;
  /** Null for what is in no pool. */
  readonly row: RowOf<'costPool'> | null;
}

/** The pools of the book in their order, and at the end what is in no pool where there is any. */
export function poolsOf(sheet: Sheet): Pool[] {
  const pools = sheet.all('costPool').map((row): Pool => ({ id: row.id, name: row.name, use: row.use, row }));
  const isLoose = sheet.all('runningCost').some(({ poolId }) => poolId === null);
  return isLoose ? [...pools, { id: NO_POOL, name: 'In no pool', use: 'production', row: null }] : pools;
}

/** The running costs that are in a pool. */
const costsIn = (sheet: Sheet, poolId: string): readonly RowOf<'runningCost'>[] =>
  poolId === NO_POOL
    ? sheet.all('runningCost').filter((row) => row.poolId === null)
    : sheet.rowsOf('runningCost', 'poolId', poolId);

/**
 * What a pool holds in a month: its fixed and stepped running costs, which a method shares out. A variable one goes to
 * products by its own driver under every method.
 */
export const poolCost: Calculation<{ toShareOut: Figure; all: Figure }> = {
  name: 'poolCost',
  meanings: {
    toShareOut: 'The running costs of this pool in a month that are fixed or go in steps.',
    all: 'All running costs of this pool in a month.',
  },
  work(sheet, poolId) {
    const subject = sheet.row('costPool', poolId)?.name ?? 'In no pool';
    const together = (name: string, rows: readonly RowOf<'runningCost'>[]) =>
      sum(
        { name, subject },
        money(sheet).per(MONTH),
        rows.map(({ id }) => sheet.read(runningCost, id).perMonth),
      );
    const rows = costsIn(sheet, poolId);
    return {
      toShareOut: together(
        'Cost of the pool',
        rows.filter(({ behaviour }) => behaviour !== 'variable'),
      ),
      all: together('Running costs of the pool', rows),
    };
  },
};
