import { randomUUID } from 'node:crypto';
import { Worker } from 'node:worker_threads';
import { timed } from './measure.mjs';

/**
 * Measures how others fare: how a small book's snapshot and change answer while another book takes in 20,000 rows and 20
 * people write into it, against their quiet time; and how long the health of the server takes while the figures of the
 * bench book are worked out over HTTP.
 */
export async function benchBusy(address, benchId, cookie) {
  const call = caller(address, cookie);
  const [busy, quiet] = [await makeBook(call, 'Busy'), await makeBook(call, 'Quiet')];
  await looking(call, quiet, 60);
  const still = await looking(call, quiet, 60);
  let isOver = false;
  const writers = Array.from({ length: 20 }, () => writing(call, busy, () => isOver));
  const taking = call('POST', `/api/books/${busy}/changes`, { id: randomUUID(), operations: materials(20_000) });
  const under = await looking(call, quiet, 0, taking);
  isOver = true;
  await Promise.all([...writers, taking]);
  const health = await healthDuring(address, async () => {
    const headers = { cookie };
    await (await fetch(`${address}/api/books/${benchId}/figures`, { headers })).arrayBuffer();
  });
  return [
    ["another book's snapshot, quiet (median)", still.snapshot, ''],
    [
      'the same while one book takes in 20,000 rows and 20 people write into it',
      under.snapshot,
      '3 times the row above',
    ],
    ["another book's change, quiet (median)", still.change, ''],
    ['the same while one book takes in 20,000 rows and 20 people write into it', under.change, '3 times the row above'],
    ['health while the figures of the bench book are worked out over HTTP (median)', middle(health), ''],
    ['the same, the slowest', Math.max(...health), '100 ms'],
  ];
}

const caller = (address, cookie) => async (method, path, body) => {
  const answer = await fetch(`${address}${path}`, {
    method,
    headers: { cookie, 'content-type': 'application/json' },
    body: body && JSON.stringify(body),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${method} ${path}: ${text.slice(0, 300)}`);
  return text === '' ? null : JSON.parse(text);
};

const makeBook = async (call, name) => (await call('POST', '/api/books', { name })).id;

const materials = (count) =>
  Array.from({ length: count }, (_none, index) => {
    const id = randomUUID();
    return { action: 'create', kind: 'material', row: { id, name: `Material ${index} ${id}` } };
  });

/** Somebody who makes a row, and another as soon as it is stored. */
async function writing(call, bookId, isOver) {
  while (!isOver()) await call('POST', `/api/books/${bookId}/changes`, { id: randomUUID(), operations: materials(1) });
}

/** How long a snapshot and a change of a book take, so many times or until something has come to its end. */
async function looking(call, bookId, times, until = null) {
  let isOver = false;
  void until?.finally(() => (isOver = true));
  const [snapshots, changes] = [[], []];
  for (let time = 0; until === null ? time < times : !isOver; time += 1) {
    snapshots.push(await timed(() => call('GET', `/api/books/${bookId}`)));
    const change = { id: randomUUID(), operations: materials(1) };
    changes.push(await timed(() => call('POST', `/api/books/${bookId}/changes`, change)));
  }
  return { snapshot: middle(snapshots), change: middle(changes) };
}

/** How long the health of a server takes, each time that it is asked for while something goes on. */
async function healthDuring(address, act) {
  const probe = new Worker(new URL('./probe.mjs', import.meta.url), { workerData: address });
  await new Promise((done) => probe.once('online', done));
  await act();
  probe.postMessage('stop');
  return new Promise((done) => probe.once('message', done));
}

const middle = (times) => [...times].sort((one, other) => one - other)[Math.floor(times.length / 2)];
