// `npm run bench`: measures what docs/benchmarks.md lists, on this machine: each row is printed as it comes, and all of them as a
// table at the end. It never fails on time; a part that breaks off is named, and the others go on.
import { createServer } from 'node:net';
import { Worker } from 'node:worker_threads';
import { ensureChromium } from './setup/chromium.mjs';
import { startCluster } from './setup/cluster.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { build } from './setup/build.mjs';
import { ROOT } from './setup/paths.mjs';
import { begin, main } from './setup/run.mjs';
import { newReport } from './bench/report.mjs';

await main(async () => {
  ensurePackages();
  ensureChromium();
  build();
  const [{ benchBook }, { benchServer }, { benchBusy }, { benchBrowser }] = await Promise.all([
    import('@nuvar/book/demo'),
    import('./bench/server.mjs'),
    import('./bench/busy.mjs'),
    import('./bench/browser.mjs'),
  ]);
  const report = newReport();
  for (const part of CORE_PARTS) await report.part(part, () => benchCore(part));
  const cluster = await startCluster(`bench-${process.pid}`);
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url,
    PORT: String(port),
    SESSION_SECRET: 'bench',
    NUVAR_DEMO: 'off',
  };
  const server = begin('node', ['apps/server/dist/main.js'], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  try {
    await answering(address);
    const book = await report.part('server', () => benchServer(benchBook(), address, cluster.url));
    if (book !== null) {
      const { id, cookie } = book;
      await report.part('busy server', () => benchBusy(address, id, cookie));
      await benchBrowser(report, address, id, cookie);
    }
  } finally {
    const ended = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    await ended;
    cluster.stop();
    cluster.remove();
  }
  report.table();
});

/** What is measured in core, each in a thread of its own. */
const CORE_PARTS = ['core', 'selling', 'overhead', 'purchasing', 'mix', 'whatIfs'];

/** In a thread of its own, as in the page, so that what it filled is gone when the others are measured. */
function benchCore(part) {
  return new Promise((done, fail) => {
    const thread = new Worker(new URL('./bench/core.mjs', import.meta.url), { workerData: part });
    thread.once('message', done).once('error', fail);
  });
}

function freePort() {
  return new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => done(port));
    });
  });
}

async function answering(address) {
  for (let tries = 0; tries < 150; tries += 1) {
    const answer = await fetch(`${address}/api/health`).catch(() => null);
    if (answer?.ok) return;
    await new Promise((done) => setTimeout(done, 200));
  }
}
