import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..');

/** The built application over the real database, on a port of its own; it can be stopped and started again. */
export interface RunningServer {
  readonly url: string;
  start(): Promise<void>;
  stop(): Promise<void>;
}

export async function startServer(): Promise<RunningServer> {
  const databaseUrl = process.env.TEST_DATABASE_URL;
  if (databaseUrl === undefined) throw new Error('TEST_DATABASE_URL is not set. `npm test` sets it.');
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  let running: ChildProcess | null = null;
  const start = async () => {
    running = spawn('node', ['apps/server/dist/main.js'], {
      cwd: ROOT,
      env: {
        ...process.env,
        DATABASE_URL: databaseUrl,
        PORT: String(port),
        SESSION_SECRET: 'for the tests only',
        // All tests come from one network.
        SIGN_UPS_PER_HOUR: '10000',
        GUESTS_PER_HOUR: '10000',
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    for (let tries = 0; tries < 150; tries += 1) {
      const answer = await fetch(`${url}/api/health`).catch(() => null);
      if (answer?.ok) return;
      await new Promise((done) => setTimeout(done, 200));
    }
    throw new Error('The server did not start.');
  };
  const stop = async () => {
    const ending = running;
    if (ending === null) return;
    const ended = new Promise((done) => ending.once('exit', done));
    ending.kill('SIGKILL');
    await ended;
    running = null;
  };
  await start();
  return { url, start, stop };
}

function freePort(): Promise<number> {
  return new Promise((done, fail) => {
    const server = createServer().once('error', fail);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => done(typeof address === 'object' && address !== null ? address.port : 0));
    });
  });
}
