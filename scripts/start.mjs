// `npm start`: does all the set-up that is still missing, then serves until Ctrl-C.
import { ensurePackages } from './setup/packages.mjs';
import { build } from './setup/build.mjs';
import { database } from './setup/database.mjs';
import { ROOT } from './setup/paths.mjs';
import { begin, main } from './setup/run.mjs';

/** A server that ends by itself is started again, so many times an hour; one that ends at once has been set up wrongly. */
const MOST_STARTS = 6;
const BEGINNING = 5_000;
const PAUSE = 1_000;
const HOUR = 3_600_000;

await main(async () => {
  ensurePackages();
  build();
  const { url, secret, stop } = await database();
  let server;
  let stopping = false;
  const starts = [];
  const end = () => {
    if (stopping) return;
    stopping = true;
    server.kill('SIGTERM');
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
  const start = () => {
    starts.push(Date.now());
    while (starts[0] < Date.now() - HOUR) starts.shift();
    server = begin('node', ['--enable-source-maps', 'apps/server/dist/main.js'], {
      cwd: ROOT,
      env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: url, SESSION_SECRET: secret },
    });
    server.on('exit', (code) => {
      const isEnd = stopping || code === 0 || starts.length > MOST_STARTS || Date.now() - starts.at(-1) < BEGINNING;
      if (isEnd) {
        stop();
        if (!stopping && starts.length > MOST_STARTS)
          console.error('The server has ended too often. It is not started again.');
        process.exit(stopping ? 0 : (code ?? 1));
      }
      console.error('The server has ended by itself. It is started again.');
      setTimeout(start, PAUSE);
    });
  };
  start();
});
