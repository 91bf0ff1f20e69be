import { parentPort, workerData } from 'node:worker_threads';
import { bookRows, completeRow } from '@nuvar/book';
import { benchBook } from '@nuvar/book/demo';
import { evaluate, VIEWS } from '@nuvar/core';
import { median, timed } from './measure.mjs';
import { benchMixRows } from './mix.mjs';
import { benchOverhead } from './overhead.mjs';
import { benchPurchasing } from './purchasing.mjs';
import { benchSellingRows } from './selling.mjs';
import { benchWhatIfs } from './what-ifs.mjs';

const WARM_UP = 200;
const DAY = '2026-11-25';

const PARTS = {
  core: () => benchCore(benchBook()),
  selling: benchSellingRows,
  overhead: benchOverhead,
  purchasing: benchPurchasing,
  mix: benchMixRows,
  whatIfs: benchWhatIfs,
};

parentPort.postMessage(await PARTS[workerData]());

/** Core alone, in this thread: evaluation from nothing, and after one material's price has changed. */
async function benchCore(file) {
  const rows = Object.fromEntries(
    Object.entries(file.rows).map(([kind, list]) => [
      kind,
      list.map((row) => ({ ...completeRow(kind, row), version: 1 })),
    ]),
  );
  // Whoever watches figures holds their keys.
  const costs = rows.product.map(({ id }) => `fullCost/${id}/fullCost`);
  const points = rows.pricePoint.map(({ id }) => `pricePoint/${id}/profit`);
  const cards = (evaluation) => costs.forEach((key) => evaluation.figure(key));
  const fromNothing = await median(5, () => timed(() => cards(evaluate(rows, DAY))));
  const evaluation = evaluate(rows, DAY);
  cards(evaluation);
  // Each change is to a price that was never there before: the same price again would change nothing.
  let price = 2;
  const afterPrice = async (ask) => {
    const inBook = bookRows(rows);
    const change = (run) => {
      const row = inBook.all('supplierPrice')[(run * 31) % 1500];
      price += 1;
      const after = { ...row, price: String(price), version: row.version + 1 };
      return timed(() => {
        evaluation.apply([{ kind: 'supplierPrice', id: row.id, before: row, after }]);
        ask();
      });
    };
    // As in a session at work: the code has been run often enough to have been compiled.
    await median(WARM_UP, change);
    return median(41, (run) => change(WARM_UP + run));
  };
  const costCards = await afterPrice(() => cards(evaluation));
  const prices = () => points.forEach((key) => evaluation.figure(key));
  prices();
  const allPrices = await afterPrice(() => (cards(evaluation), prices()));
  const everyPrice = rows.pricePoint.map(({ id }) => ({
    kind: 'pricePoint',
    id,
    field: 'price',
    how: 'scale',
    by: '1.1',
  }));
  let whatIf;
  const whatIfPrices = () => points.forEach((key) => whatIf.figure(key));
  const laid = await timed(() => {
    whatIf = evaluation.fork(everyPrice);
    whatIfPrices();
  });
  const allWhatIfPrices = await afterPrice(() => (cards(whatIf), whatIfPrices()));
  VIEWS.overview(evaluation, 'book');
  return [
    ['one price changes: all cost cards that depend on it, in core (median of 41)', costCards, '20 ms'],
    [`the same with all ${points.length.toLocaleString('en')} prices in 12 channels`, allPrices, '60 ms'],
    ['the same in a what-if that raises all of them by 10 %', allWhatIfPrices, '1.5 times the row above'],
    ['that what-if laid over the book, to its first reading of all prices (once)', laid, ''],
    ['whole bench book from nothing, all cost cards (median of 5)', fromNothing, '1,500 ms'],
  ];
}
