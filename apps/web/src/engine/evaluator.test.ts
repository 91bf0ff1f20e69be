import { columnsOfRows, rowsByKind, type StoredRow } from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { VIEWS } from '@nuvar/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newEvaluator } from './evaluator.js';
import type { FromWorker, ToWorker } from './messages.js';

const rows = rowsOfFile(quillfernPottery());
const snapshot = JSON.stringify({ rows: columnsOfRows(rowsByKind(rows)) });
const mug = rows.rowsWith('product', 'name', 'Everyday mug')[0] as StoredRow<'product'>;
const point = rows.rowsWith('pricePoint', 'productId', mug.id)[0] as StoredRow<'pricePoint'>;

let sent: FromWorker[] = [];
let waiting: { act: () => void; at: number }[] = [];
let clock = 0;
let take: (message: ToWorker) => void;

beforeEach(() => {
  [sent, waiting, clock] = [[], [], 0];
  take = newEvaluator({
    post: (message) => sent.push(message),
    now: () => clock,
    later: (act, delay) => {
      const entry = { act, at: clock + delay };
      waiting.push(entry);
      return () => {
        waiting = waiting.filter((each) => each !== entry);
      };
    },
  });
});
afterEach(() => vi.restoreAllMocks());

/** Lets time go on until nothing waits any more, or for so many turns. */
function settle(turns = 400): void {
  for (let turn = 0; turn < turns; turn += 1) {
    const next = waiting.shift();
    if (next === undefined) return;
    clock = Math.max(clock, next.at) + 1;
    next.act();
  }
}
const views = () => sent.flatMap((message) => (message.type === 'views' ? message.views : []));
const failed = () => sent.flatMap((message) => (message.type === 'views' ? message.failed : []));
const latest = (key: string): unknown => JSON.parse(views().findLast(([each]) => each === key)?.[1] ?? 'null');
const opened = (...keys: string[]) => {
  take({ type: 'open', snapshot, asOf: '2026-11-25' });
  take({ type: 'watch', keys });
  settle();
};

describe('the evaluator of the open book', () => {
  it('sends what is watched, and after a change what has become another, and nothing else', () => {
    opened(`price/${point.id}`, `product/${mug.id}`, 'overview/book');
    expect(new Set(views().map(([key]) => key))).toEqual(
      new Set([`price/${point.id}`, `product/${mug.id}`, 'overview/book']),
    );
    sent = [];
    const after = { ...point, price: '33', version: 2 };
    take({ type: 'apply', writes: [{ kind: 'pricePoint', id: point.id, before: point, after }] });
    settle();
    expect(latest(`price/${point.id}`)).toMatchObject({ price: { amount: '33' } });
    sent = [];
    take({
      type: 'apply',
      writes: [{ kind: 'pricePoint', id: point.id, before: after, after: { ...after, version: 3 } }],
    });
    settle();
    expect(sent).toEqual([]);
  });

  it('lays a trial over the book, another in its place, and takes it off again', () => {
    opened(`price/${point.id}`);
    const before = latest(`price/${point.id}`);
    const tryOut = (value: string) =>
      take({ type: 'override', overrides: [{ kind: 'pricePoint', id: point.id, field: 'price', how: 'set', value }] });
    for (const value of ['25', '26']) {
      tryOut(value);
      settle();
      expect(latest(`price/${point.id}`)).toMatchObject({ price: { amount: value } });
    }
    take({ type: 'override', overrides: [] });
    settle();
    expect(latest(`price/${point.id}`)).toEqual(before);
  });

  it('lets a view fail alone: the others are sent, it is said which failed and why, and it is tried again', () => {
    const fault = vi.spyOn(VIEWS, 'card').mockImplementation(() => {
      throw new RangeError('a fault of the program');
    });
    opened(`card/${mug.id}`, `price/${point.id}`);
    expect(failed()).toEqual([[`card/${mug.id}`, 'a fault of the program']]);
    expect(latest(`price/${point.id}`)).toMatchObject({ price: { amount: String(Number(point.price)) } });
    fault.mockRestore();
    take({ type: 'watch', keys: [] });
    settle();
    expect(latest(`card/${mug.id}`)).toMatchObject({ lines: expect.any(Array) as unknown });
  });

  it('answers every question, with a result or with what went wrong', () => {
    opened();
    take({ type: 'ask', question: 1, keys: [`product/${mug.id}`] });
    vi.spyOn(VIEWS, 'product').mockImplementation(() => {
      throw new RangeError('a fault of the program');
    });
    take({ type: 'ask', question: 2, keys: [`product/${mug.id}`] });
    take({ type: 'effect', question: 3, overrides: [], productIds: [mug.id] });
    expect(sent).toMatchObject([
      { type: 'answer', question: 1 },
      { type: 'refusal', question: 2, why: 'a fault of the program' },
      { type: 'answer', question: 3 },
    ]);
  });

  it('says that it is broken where it cannot follow the book', () => {
    take({ type: 'open', snapshot: 'no book at all', asOf: '2026-11-25' });
    take({ type: 'open', snapshot, asOf: '31.03.2026' });
    expect(sent.map(({ type }) => type)).toEqual(['broken', 'broken']);
  });
});
