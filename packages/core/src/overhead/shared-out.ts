import type { RowOf } from '@nuvar/book';
import { choice, difference, type Figure, gapSentence, multiplied, ofMissingRow, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { amountPaid } from './amount-paid.js';
import { driverVolume, volumeFor, volumesFor } from './driver-volume.js';
import { overheadGap } from './gaps.js';
import type { Lot, SharedOut, Unassigned } from './lot.js';
import { methodOf, METHODS } from './methods/index.js';
import { runningCost } from './running-cost.js';

/** All overhead of a month as a method charges it, variable costs included; the id is that of the method. */
export const sharedOut: Calculation<SharedOut> = {
  name: 'sharedOut',
  meanings: {},
  work(sheet, methodId) {
    const method = methodOf(sheet, methodId);
    const { lots, unassigned } = METHODS[method.type].shareOut(sheet, method);
    const variable = sheet.all('runningCost').filter(({ behaviour }) => behaviour === 'variable');
    const all = [...lots, ...variable.map((row) => variableLot(sheet, row))];
    return { lots: all, unassigned: [...unassigned, ...all.flatMap((lot) => leftOfLot(sheet, lot))] };
  },
};

/** A variable running cost goes by its own driver, at what it costs for each unit of it. */
function variableLot(sheet: Sheet, row: RowOf<'runningCost'>): Lot {
  const { perUnit } = sheet.read(driverVolume, row.driver);
  const pool = row.poolId === null ? undefined : sheet.row('costPool', row.poolId);
  const id = `cost.${row.id}`;
  return {
    id,
    label: row.name,
    use: pool?.use ?? 'production',
    isVariable: true,
    cost: sheet.read(runningCost, row.id).perMonth,
    basis: volumeFor(sheet, row.driver, pool?.use ?? 'production'),
    rate: amountPaid(sheet, row, sheet.asOf, money(sheet).per(perUnit)),
    bearings: [{ id, label: row.name, driver: row.driver }],
  };
}

/** What of a lot no product is charged with: all of it where it has no basis, else the monthly uses of what is not made. */
function leftOfLot(sheet: Sheet, lot: Lot): Unassigned[] {
  const [lacks] = lot.rate.gaps;
  if (lot.rate.amount === null && lacks !== undefined)
    return [
      { id: `lot.${lot.id}`, label: lot.label, cost: lot.cost, why: gapSentence(lacks), gap: null, lotId: lot.id },
    ];
  return lot.bearings.flatMap(({ driver, label }) =>
    volumesFor(sheet, driver, lot.use).withoutOutput.map(({ productId, quantity }): Unassigned => {
      const product = sheet.row('product', productId)?.name ?? '';
      const place = { kind: 'product', id: productId, field: 'plannedUnits' } as const;
      const gap = overheadGap('no-planned-output', place, { subject: label, product });
      return {
        id: `lot.${lot.id}.${productId}`,
        label: `${label} for ${product}`,
        cost: multiplied({ name: 'Monthly use of what is not made', subject: product }, lot.rate, quantity),
        why: gapSentence(gap),
        gap,
        lotId: lot.id,
      };
    }),
  );
}

/** What the lots of a method are, without what they cost; the id is that of the method. A cost that moves leaves it as it is. */
export const lotsOfMethod: Calculation<readonly Pick<Lot, 'id' | 'label' | 'use' | 'isVariable' | 'bearings'>[]> = {
  name: 'lotsOfMethod',
  meanings: {},
  work: (sheet, methodId) =>
    sheet
      .read(sharedOut, methodId)
      .lots.map(({ id, label, use, isVariable, bearings }) => ({ id, label, use, isVariable, bearings })),
};

/** What a lot costs in a month, over what it is shared, and at what rate; the id is "method@lot". */
export const overheadLot: Calculation<Pick<Lot, 'cost' | 'basis' | 'rate'>> = {
  name: 'overheadLot',
  meanings: {
    cost: 'What is to be shared out in a month.',
    basis: 'Over how much of its driver it is shared out.',
    rate: 'What each unit of the driver is charged with.',
  },
  work(sheet, id) {
    const lot = lotOf(sheet, id);
    if (lot !== undefined) return { cost: lot.cost, basis: lot.basis, rate: lot.rate };
    const gone = ofMissingRow({ name: 'Overhead', unit: money(sheet).per(MONTH) }, 'a share of the overhead');
    return { cost: gone, basis: gone, rate: gone };
  },
};

const lotOf = (sheet: Sheet, id: string): Lot | undefined => {
  const at = id.indexOf('@');
  return sheet.read(sharedOut, id.slice(0, at)).lots.find((lot) => lot.id === id.slice(at + 1));
};

/** How much of a lot the plan takes up; the id is "method@lot". */
export const lotUse: Calculation<{ used: Figure; assigned: Figure; unused: Figure }> = {
  name: 'lotUse',
  meanings: {
    used: 'How much of the driver the planned units of a month need.',
    assigned: 'What the planned units of a month are charged with.',
    unused: 'What no planned unit is charged with (idle or unused capacity).',
  },
  work(sheet, id) {
    const lot = lotOf(sheet, id);
    if (lot === undefined) {
      const gone = ofMissingRow({ name: 'Overhead', unit: money(sheet).per(MONTH) }, 'a share of the overhead');
      return { used: gone, assigned: gone, unused: gone };
    }
    const volumes = lot.bearings.map(({ driver }) => volumesFor(sheet, driver, lot.use).borne);
    const [only] = volumes;
    const used =
      only !== undefined && volumes.length === 1
        ? only
        : sum({ name: 'Used', subject: lot.label }, only?.unit ?? unit('min').per(MONTH), volumes);
    const assigned = multiplied({ name: 'Charged to products', subject: lot.label }, lot.rate, used);
    const notBorne = sheet
      .read(sharedOut, id.slice(0, id.indexOf('@')))
      .unassigned.filter(({ lotId }) => lotId === lot.id && lot.rate.amount !== null)
      .map(({ cost }) => cost);
    const placed =
      notBorne.length === 0
        ? assigned
        : sum({ name: 'Charged, or not shared out', subject: lot.label }, assigned.unit, [assigned, ...notBorne]);
    return { used, assigned, unused: difference({ name: 'Unused', subject: lot.label }, lot.cost, placed) };
  },
};

/** The overhead of the book under a method: what there is, and where it goes. */
export interface OverheadTotals {
  readonly toAssign: Figure;
  readonly assigned: Figure;
  readonly unused: Figure;
  readonly unassigned: Figure;
}

/** To assign = assigned to products + unused capacity + not shared out; the id is that of the method. */
export const overheadTotals: Calculation<OverheadTotals> = {
  name: 'overheadTotals',
  meanings: {
    toAssign: 'All running costs of a month.',
    assigned: 'What the planned units of a month are charged with under this method (absorbed).',
    unused: 'What capacity costs that no planned unit uses (idle or unused capacity).',
    unassigned: 'What this method shares out over no product.',
  },
  work(sheet, methodId) {
    const { lots, unassigned } = sheet.read(sharedOut, methodId);
    const perMonth = money(sheet).per(MONTH);
    const withRate = lots.filter(({ rate }) => rate.amount !== null);
    const uses = withRate.map(({ id }) => sheet.read(lotUse, `${methodId}@${id}`));
    const left = unassigned.map(({ cost }) => cost);
    const inNoLot = unassigned.filter(({ lotId }) => lotId === null).map(({ cost }) => cost);
    return {
      toAssign: sum('Overhead to share out', perMonth, [...lots.map(({ cost }) => cost), ...inNoLot]),
      assigned: sum(
        'Charged to products',
        perMonth,
        uses.map((use) => use.assigned),
      ),
      unused: sum(
        'Unused capacity',
        perMonth,
        uses.map((use) => use.unused),
      ),
      unassigned: sum('Not shared out', perMonth, left),
    };
  },
};

/** What a lot that is not shared out costs; the id is "method@label". */
export const unassignedCost: Calculation<{ cost: Figure }> = {
  name: 'unassignedOverhead',
  meanings: { cost: 'What is shared out over no product.' },
  work(sheet, id) {
    const at = id.indexOf('@');
    const found = sheet.read(sharedOut, id.slice(0, at)).unassigned.find((each) => each.id === id.slice(at + 1));
    if (found === undefined)
      return { cost: ofMissingRow({ name: 'Not shared out', unit: money(sheet).per(MONTH) }, 'a cost pool') };
    return { cost: choice({ name: 'Not shared out', subject: found.label }, found.cost, found.why) };
  },
};
