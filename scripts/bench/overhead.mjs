import { benchBook } from '@nuvar/book/demo';
import { bookRows, completeRow } from '@nuvar/book';
import { evaluate } from '@nuvar/core';
import { median, timed } from './measure.mjs';

const DAY = '2026-11-25';
const WARM_UP = 30;

/** Overhead in full, in core: 12 departments, 40 cost pools, 30 activities; four methods against one, and one bill that changes. */
export async function benchOverhead() {
  const file = benchBook({ overhead: { departments: 12, pools: 40, activities: 30 } });
  const rows = Object.fromEntries(
    Object.entries(file.rows).map(([kind, list]) => [
      kind,
      list.map((row) => ({ ...completeRow(kind, row), version: 1 })),
    ]),
  );
  const keysOf = ({ id }) => rows.product.map((product) => `fullCostBy/${product.id}@${id}/fullCost`);
  const [bookMethod] = rows.costingMethod;
  const one = keysOf(bookMethod);
  const four = rows.costingMethod.flatMap(keysOf);
  const fromNothing = (keys) =>
    median(5, () =>
      timed(() => {
        const evaluation = evaluate(rows, DAY);
        keys.forEach((key) => evaluation.figure(key));
      }),
    );
  const [byOne, byFour] = [await fromNothing(one), await fromNothing(four)];
  const afterBill = async (keys) => {
    const evaluation = evaluate(rows, DAY);
    keys.forEach((key) => evaluation.figure(key));
    const inBook = bookRows(rows);
    let amount = 1000;
    const change = (run) => {
      const all = inBook.all('runningCost');
      const row = all[(run * 7) % all.length];
      amount += 1;
      const after = { ...row, amount: String(amount), version: row.version + 1 };
      return timed(() => {
        evaluation.apply([{ kind: 'runningCost', id: row.id, before: row, after }]);
        keys.forEach((key) => evaluation.figure(key));
      });
    };
    await median(WARM_UP, change);
    return median(21, (run) => change(WARM_UP + run));
  };
  const bookKeys = rows.product.map(({ id }) => `fullCost/${id}/fullCost`);
  return [
    ['12 departments, 40 pools, 30 activities: all full costs by one method, from nothing (median of 5)', byOne, ''],
    ['the same by four methods', byFour, '2 times the row above'],
    [
      'one running cost changes: every full cost by the method of the book (median of 21)',
      await afterBill(bookKeys),
      '100 ms',
    ],
    ['the same by four methods', await afterBill(four), ''],
  ];
}
