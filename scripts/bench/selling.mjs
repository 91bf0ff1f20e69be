import { bookRows, completeRow } from '@nuvar/book';
import { benchSelling } from '@nuvar/book/demo';
import { evaluate, listedPriceForTarget, repricedOf, simulate, VIEWS } from '@nuvar/core';
import { median, timed } from './measure.mjs';

const DAY = '2026-11-25';
/** So many rows of the board are in sight, and around it. */
const IN_SIGHT = 40;

/** Selling, in core: the price board from nothing, after a fee has changed, a target for all of it, and a simulation. */
export async function benchSellingRows() {
  const file = benchSelling();
  const rows = Object.fromEntries(
    Object.entries(file.rows).map(([kind, list]) => [
      kind,
      list.map((row) => ({ ...completeRow(kind, row), version: 1 })),
    ]),
  );
  const inSight = rows.product.slice(0, IN_SIGHT);
  const board = (evaluation, products) => products.forEach(({ id }) => VIEWS.boardRow(evaluation, id));
  const first = await median(5, () => timed(() => board(evaluate(rows, DAY), inSight)));
  const evaluation = evaluate(rows, DAY);
  const whole = await timed(() => board(evaluation, rows.product));
  const inBook = bookRows(rows);
  let percent = 5;
  const feeChange = await median(21, (run) => {
    const row = inBook.all('feeRule')[1 + (run % 12) * 3];
    percent += 0.1;
    const after = { ...row, percent: percent.toFixed(1), version: row.version + 1 };
    return timed(() => {
      evaluation.apply([{ kind: 'feeRule', id: row.id, before: row, after }]);
      board(evaluation, inSight);
    });
  });
  const points = rows.pricePoint.map(({ id }) => id);
  const toTarget = { toTarget: true, percent: '0', ending: 'none', direction: 'up' };
  const solveAll = () => points.forEach((id) => listedPriceForTarget(evaluation.sheet, id));
  solveAll();
  const targets = await median(5, () => timed(solveAll));
  const bulk = await median(5, () => timed(() => repricedOf(evaluation, toTarget, points)));
  const demo = simulationInput();
  simulate(demo);
  const draws = await median(9, () => timed(() => simulate(demo)));
  const count = points.length.toLocaleString('en');
  return [
    [`price board of ${count} prices from nothing, ${IN_SIGHT} rows in sight (median of 5)`, first, '700 ms'],
    [`all ${count} prices of the board, once`, whole, ''],
    [`a fee changes: ${IN_SIGHT} rows of the board in sight (median of 21)`, feeChange, '100 ms'],
    [`price for a target of the whole board, ${count} prices (median of 5)`, targets, '800 ms'],
    ['their bulk change to target, with the month before and after of each (median of 5)', bulk, ''],
    ['simulation of 10,000 draws (median of 9)', draws, '200 ms'],
  ];
}

const RANGE = { low: -10, high: 15, shape: 'triangular' };

/** A price with six materials of three suppliers, in which everything varies. */
function simulationInput() {
  const materials = Array.from({ length: 6 }, (_each, index) => ({ supplier: String(index % 3), amount: 1 + index }));
  return {
    model: {
      price: 60,
      keptAfterDiscount: 1,
      coupon: 0,
      taxTimes: 1.2,
      keptAfterReturns: 0.97,
      spent: 1,
      fees: [
        { upTo: 20, slope: 0.15, level: 0.3 },
        { upTo: null, slope: 0.12, level: 0.9 },
      ],
      dispatch: 3,
      postageBrought: 2,
      labour: 6,
      otherVariable: 2,
      byYield: 0.8,
      mostYield: 1.1,
      materials,
      unitsPerMonth: 120,
      fixedPerMonth: 300,
    },
    ranges: { price: RANGE, volume: RANGE, materials: RANGE, yield: RANGE, time: RANGE, fees: RANGE },
    together: 0.6,
    seed: 1,
    draws: 10_000,
  };
}
