import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { bookRows, completeRow, newId } from '@nuvar/book';
import { benchBook } from '@nuvar/book/demo';
import { besideBaseline, evaluate, layWhatIf, sideView, VIEWS } from '@nuvar/core';
import { median, timed } from './measure.mjs';

const DAY = '2026-11-25';
/** So many rows of the price board are in sight, and around it. */
const IN_SIGHT = 40;
/** So many rows of each kind a what-if of 1,000 changes touches, and how. */
const TOUCHED = [
  ['pricePoint', 'price', 400, (run) => ({ how: 'scale', value: `1.0${run}` })],
  ['billLine', 'quantity', 300, (run) => ({ how: 'set', value: JSON.stringify(String(7 + run)) })],
  ['supplierPrice', 'price', 200, (run) => ({ how: 'add', value: `0.1${run}` })],
  ['labourStep', 'time', 70, (run) => ({ how: 'set', value: JSON.stringify(String(3 + run)) })],
  ['runningCost', 'amount', 20, (run) => ({ how: 'scale', value: `1.1${run}` })],
  ['feeRule', 'percent', 10, (run) => ({ how: 'set', value: JSON.stringify(String(4 + run)) })],
];

/** What-ifs of 1,000 changes over the bench book, in core: laid, switched between, compared with the book, and kept. */
export async function benchWhatIfs() {
  const rows = stored(benchBook().rows);
  const names = Array.from({ length: 5 }, (_none, run) => addWhatIf(rows, run));
  const book = evaluate(rows, DAY);
  const inBook = bookRows(rows);
  const inSight = rows.product.slice(-IN_SIGHT).map(({ id }) => id);
  const screen = (evaluation) =>
    inSight.map((id) => JSON.stringify(besideBaseline(VIEWS.boardRow(evaluation, id), book)));
  const whole = (evaluation) => rows.product.forEach(({ id }) => VIEWS.boardRow(evaluation, id));
  const empty = heap();
  whole(book);
  screen(book);
  const baseline = heap() - empty;

  const forks = [];
  const laid = await median(names.length, (run) =>
    timed(() => {
      const fork = book.fork([]);
      fork.lay(layWhatIf(inBook, names[run]).overrides);
      screen(fork);
      forks.push(fork);
    }),
  );
  const switched = await median(21, (run) => timed(() => screen(forks[run % forks.length])));
  let compared;
  const comparison = await timed(() => {
    compared = sideView('sides', [book, forks[0]], 'contribution per month');
  });
  if (compared === null) throw new Error('There is nothing to compare.');
  const five = await timed(() => sideView('sides', [book, ...forks.slice(1)], 'contribution per month'));
  const before = heap();
  const another = book.fork(layWhatIf(inBook, names[0]).overrides);
  whole(another);
  const share = (heap() - before) / baseline;
  another.end();
  const points = rows.pricePoint.length.toLocaleString('en');
  return [
    [`a what-if of 1,000 changes laid, to ${IN_SIGHT} rows of the board in sight (median of 5)`, laid, '100 ms'],
    ['switching between such what-ifs, to the same rows (median of 21)', switched, '50 ms'],
    [`the book beside such a what-if, all 2,000 products and ${points} prices (once)`, comparison, '1,500 ms'],
    ['the book beside four more of them (once)', five, ''],
    ['memory of a what-if with every price worked out, against that of the book', 100 * share, '150 %', '%'],
  ];
}

const stored = (kinds) =>
  Object.fromEntries(
    Object.entries(kinds).map(([kind, list]) => [kind, list.map((row) => ({ ...completeRow(kind, row), version: 1 }))]),
  );

/** Adds a what-if to the rows of the book; gives its id. */
function addWhatIf(rows, run) {
  const whatIfId = newId();
  const add = (kind, row) => (rows[kind] ??= []).push({ ...completeRow(kind, { id: newId(), ...row }), version: 1 });
  add('whatIf', { id: whatIfId, name: `What-if ${run}` });
  let position = 0;
  for (const [rowKind, field, count, changeOf] of TOUCHED) {
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
