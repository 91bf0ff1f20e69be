import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { startJob } from './job.js';

/** A worker of which the test says what it does. */
function workerOfTest() {
  const worker = { ended: 0, given: [] as unknown[], onmessage: null, onerror: null } as {
    ended: number;
    given: unknown[];
    onmessage: ((message: { data: string }) => void) | null;
    onerror: (() => void) | null;
  };
  const asWorker = Object.assign(worker, {
    terminate: () => void (worker.ended += 1),
    postMessage: (input: unknown) => void worker.given.push(input),
  });
  return { worker, asWorker: asWorker as unknown as Worker };
}

let heard: string[];
const begin = (after?: number) => {
  const { worker, asWorker } = workerOfTest();
  const job = startJob<string, string>(asWorker, 'work', {
    isAnswer: (said) => said === 'done',
    said: (said) => heard.push(said),
    died: () => heard.push('died'),
    ...(after === undefined ? {} : { tookTooLong: { after, then: () => heard.push('too long') } }),
  });
  return { worker, job };
};

beforeEach(() => {
  heard = [];
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

it('a job ends with its answer, and hears how far it is before', () => {
  const { worker } = begin(10_000);
  expect(worker.given).toEqual(['work']);
  worker.onmessage?.({ data: 'half' });
  expect(worker.ended).toBe(0);
  worker.onmessage?.({ data: 'done' });
  vi.advanceTimersByTime(60_000);
  expect([worker.ended, heard]).toEqual([1, ['half', 'done']]);
});

it('a job that takes longer than it may is ended, and says so once', () => {
  const { worker } = begin(10_000);
  vi.advanceTimersByTime(9_999);
  expect([worker.ended, heard]).toEqual([0, []]);
  vi.advanceTimersByTime(1);
  expect([worker.ended, heard]).toEqual([1, ['too long']]);
});

it('a job without a limit goes on; one that was stopped or has died says nothing of time', () => {
  const free = begin();
  vi.advanceTimersByTime(600_000);
  expect(free.worker.ended).toBe(0);
  const stopped = begin(10_000);
  stopped.job.stop();
  const dead = begin(10_000);
  dead.worker.onerror?.();
  vi.advanceTimersByTime(60_000);
  expect([stopped.worker.ended, dead.worker.ended, heard]).toEqual([1, 1, ['died']]);
});
