// A thread that asks for the health of a server again and again until it is told to stop, and then says how long each
// answer took. In a thread of its own: what the bench does with large answers does not slow its clock down.
import { parentPort, workerData } from 'node:worker_threads';
import { timed } from './measure.mjs';

const times = [];
let isOver = false;
parentPort.once('message', () => (isOver = true));
while (!isOver) {
  times.push(await timed(async () => (await fetch(`${workerData}/api/health`)).text()));
  await new Promise((done) => setTimeout(done, 20));
}
parentPort.postMessage(times);
