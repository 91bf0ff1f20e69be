import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { bookRows, completeRow, newId } from '@nuvar/book';
import { benchBook } from '@nuvar/book/demo';
import { besideBaseline, evaluate, layWhatIf, sideView, VIEWS } from '@nuvar/core';
import { median, timed } from './measure.mjs';

const DAY = '2026-11-25';
/** So many rows of the price board are in sight, and around it. */
const IN_SIGHT = 40;
/** So many rows of each kind a what-if of 1,000 changes touches, and how: prices, fees and running costs alone. */
const PRICES = [
  ['supplierPrice', 'price', 550, (run) => ({ how: 'add', value: `0.1${run}` })],
  ['pricePoint', 'price', 420, (run) => ({ how: 'scale', value: `1.0${run}` })],
  ['runningCost', 'amount', 20, (run) => ({ how: 'scale', value: `1.1${run}` })],
  ['feeRule', 'percent', 10, (run) => ({ how: 'set', value: JSON.stringify(String(4 + run)) })],
];
/** The same with quantities and times: then hours and volumes of nearly all products are others too. */
const OF_ALL_KINDS = [
  ['supplierPrice', 'price', 200, (run) => ({ how: 'add', value: `0.1${run}` })],
  ['pricePoint', 'price', 400, (run) => ({ how: 'scale', value: `1.0${run}` })],
  ['billLine', 'quantity', 300, (run) => ({ how: 'set', value: JSON.stringify(String(7 + run)) })],
  ['labourStep', 'time', 70, (run) => ({ how: 'set', value: JSON.stringify(String(3 + run)) })],
  ['runningCost', 'amount', 20, (run) => ({ how: 'scale', value: `1.1${run}` })],
  ['feeRule', 'percent', 10, (run) => ({ how: 'set', value: JSON.stringify(String(4 + run)) })],
];
const RUNS = 5;

/** What-ifs of 1,000 changes over the bench book, in core: laid, switched between, compared with the book, and kept. */
export async function benchWhatIfs() {
  const rows = stored(benchBook().rows);
  const prices = Array.from({ length: RUNS }, (_none, run) => addWhatIf(rows, PRICES, run));
  const ofAllKinds = Array.from({ length: RUNS }, (_none, run) => addWhatIf(rows, OF_ALL_KINDS, run));
  const book = evaluate(rows, DAY);
  const inBook = bookRows(rows);
  const inSight = rows.product.slice(-IN_SIGHT).map(({ id }) => id);
  const screen = (evaluation, ids = inSight) =>
    ids.map((id) => JSON.stringify(besideBaseline(VIEWS.boardRow(evaluation, id), book)));
  const whole = (evaluation) => rows.product.forEach(({ id }) => VIEWS.boardRow(evaluation, id));
  const empty = heap();
  whole(book);
  screen(book);
  const baseline = heap() - empty;

  const forks = [];
  const firstFigures = (names) => {
    const rest = [];
    return median(names.length, async (run) => {
      const fork = book.fork([]);
      const first = await timed(() => {
        fork.lay(layWhatIf(inBook, names[run]).overrides);
        screen(fork, inSight.slice(0, 1));
      });
      rest.push(first + (await timed(() => screen(fork))));
      forks.push(fork);
      return first;
    }).then((first) => [first, rest.sort((one, other) => one - other)[RUNS >> 1]]);
  };
  const ofPrices = await firstFigures(prices);
  const ofAll = await firstFigures(ofAllKinds);
  const switched = await median(21, (run) => timed(() => screen(forks[run % RUNS])));
  const compared = (sides) => timed(() => sideView('sides', sides, 'contribution per month'));
  const beside = await compared([book, forks[0]]);
  const five = await compared([book, ...forks.slice(1, RUNS)]);
  forks.forEach((fork) => fork.end());
  const before = heap();
  const another = book.fork(layWhatIf(inBook, ofAllKinds[0]).overrides);
  whole(another);
  const share = (heap() - before) / baseline;
  another.end();
  const points = rows.pricePoint.length.toLocaleString('en');
  const rowsInSight = `to all ${IN_SIGHT} rows of the board in sight`;
  return [
    [`a what-if of 1,000 prices, fees and costs laid, to the first row (median of ${RUNS})`, ofPrices[0], '100 ms'],
    [`the same, ${rowsInSight} (median of ${RUNS})`, ofPrices[1], ''],
    [`a what-if of 1,000 changes of all kinds laid, to the first row (median of ${RUNS})`, ofAll[0], '100 ms'],
    [`the same, ${rowsInSight} (median of ${RUNS})`, ofAll[1], ''],
    [`switching between what-ifs, ${rowsInSight} (median of 21)`, switched, '50 ms'],
    [`the book beside a what-if, all 2,000 products and ${points} prices (once)`, beside, '1,500 ms'],
    ['the book beside four others (once)', five, ''],
    ['memory of a what-if with every price worked out, against that of the book', 100 * share, '150 %', '%'],
  ];
}

const stored = (kinds) =>
  Object.fromEntries(
    Object.entries(kinds).map(([kind, list]) => [kind, list.map((row) => ({ ...completeRow(kind, row), version: 1 }))]),
  );

/** Adds a what-if to the rows of the book; gives its id. */
function addWhatIf(rows, touched, run) {
  const whatIfId = newId();
  const add = (kind, row) => (rows[kind] ??= []).push({ ...completeRow(kind, { id: newId(), ...row }), version: 1 });
  add('whatIf', { id: whatIfId, name: `What-if ${run}` });
  let position = 0;
  for (const [rowKind, field, count, changeOf] of touched) {
    const list = rows[rowKind];
    for (let at = 0; at < count; at += 1) {
      const row = list[(at * 37 + run * 11) % list.length];
      add('whatIfChange', { whatIfId, position: position++, rowKind, rowId: row.id, field, ...changeOf(run) });
    }
  }
  return whatIfId;
}

/** What the heap of this thread holds, in bytes, when nothing of it is waste. */
function heap() {
  setFlagsFromString('--expose-gc');
  runInNewContext('gc')();
  return process.memoryUsage().heapUsed;
}
