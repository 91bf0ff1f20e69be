import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { engine } from './engine.js';
import type { FromWorker, ToWorker } from './messages.js';

/** Stands in the place of the browser's worker: what it is told is kept, and what it says is said by the test. */
class HandWorker {
  static all: HandWorker[] = [];
  readonly told: ToWorker[] = [];
  onmessage: ((event: { data: FromWorker }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  isEnded = false;
  constructor() {
    HandWorker.all.push(this);
  }
  postMessage(message: ToWorker): void {
    this.told.push(message);
  }
  terminate(): void {
    this.isEnded = true;
  }
  says(message: FromWorker): void {
    this.onmessage?.({ data: message });
  }
}

const worker = () => HandWorker.all.at(-1) as HandWorker;
const reopened = vi.fn();

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('Worker', HandWorker);
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  HandWorker.all = [];
  engine.reopenBy(() => {
    reopened();
    engine.open('again', '2026-11-25');
  });
  engine.open('snapshot', '2026-11-25');
});
afterEach(() => {
  engine.close();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
  reopened.mockReset();
});

describe('the worker as the page sees it', () => {
  it('a question ends with its answer, or with the error that it met', async () => {
    const [first, second] = [engine.ask('product', ['one']), engine.ask('product', ['two'])];
    const [one, two] = worker().told.slice(-2) as { question: number }[];
    worker().says({ type: 'answer', question: one?.question ?? 0, views: ['{"name":"one"}'] });
    worker().says({ type: 'refusal', question: two?.question ?? 0, why: 'a fault' });
    expect(await first).toEqual([{ name: 'one' }]);
    await expect(second).rejects.toThrow('a fault');
  });

  it('a view that fails is shown no longer and is named; it is taken off the list when it comes after all', () => {
    const listener = vi.fn();
    engine.watch('product/one', listener);
    worker().says({ type: 'views', views: [['product/one', '{"name":"one"}']], failed: [] });
    expect(engine.view('product/one')).toEqual({ name: 'one' });
    worker().says({ type: 'views', views: [], failed: [['product/one', 'a fault']] });
    expect([engine.view('product/one'), [...engine.state().failures]]).toEqual([
      undefined,
      [['product/one', 'a fault']],
    ]);
    worker().says({ type: 'views', views: [['product/one', '{"name":"two"}']], failed: [] });
    expect([engine.view('product/one'), engine.state().failures.size]).toEqual([{ name: 'two' }, 0]);
    expect(listener).toHaveBeenCalledTimes(3);
  });

  it('is started again with the book when it dies, and whoever waited is told', async () => {
    const waiting = engine.ask('product', ['one']);
    const dead = worker();
    dead.onerror?.({ message: 'out of memory' });
    await expect(waiting).rejects.toThrow(/anew/);
    expect([dead.isEnded, HandWorker.all.length, reopened.mock.calls.length, engine.state().restarts]).toEqual([
      true,
      2,
      1,
      1,
    ]);
    expect(worker().told[0]).toMatchObject({ type: 'open', snapshot: 'again' });
  });

  it('is taken for dead when it says that it is broken, or says nothing for long though something was asked or changed', () => {
    worker().says({ type: 'broken', why: 'it cannot follow' });
    expect(engine.state().restarts).toBe(1);
    engine.apply([]);
    vi.advanceTimersByTime(36_000);
    expect(engine.state().restarts).toBe(2);
    worker().says({ type: 'views', views: [], failed: [] });
    vi.advanceTimersByTime(600_000);
    expect(engine.state().restarts).toBe(2);
  });

  it('is left alone when it dies again and again', async () => {
    for (let time = 0; time < 4; time += 1) worker().onerror?.({ message: 'out of memory' });
    expect([HandWorker.all.length, engine.state().hasGivenUp]).toEqual([4, true]);
    await expect(engine.ask('product', ['one'])).rejects.toThrow(/cannot be worked out/);
  });
});
