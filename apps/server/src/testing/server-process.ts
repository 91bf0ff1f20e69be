import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { TEST_DAY } from './test-day.js';

const ROOT = join(import.meta.dirname, '../../../..');

/** The built application as a process of its own, on a port of its own; it can be stopped and started again. */
export interface ServerProcess {
  readonly url: string;
  start(): Promise<void>;
  /** Kills it as a power cut would, or asks it to end by another signal, and waits until it is gone. */
  stop(signal?: NodeJS.Signals): Promise<void>;
}

export async function serverProcess(databaseUrl: string): Promise<ServerProcess> {
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
        LOG_LEVEL: 'silent',
        NUVAR_DAY: TEST_DAY,
        // All tests come from one network.
        SIGN_UPS_PER_HOUR: '10000',
        GUESTS_PER_HOUR: '10000',
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    for (let tries = 0; tries < 300; tries += 1) {
      const answer = await fetch(`${url}/api/health`).catch(() => null);
      if (answer?.ok) return;
      await new Promise((done) => setTimeout(done, 100));
    }
    throw new Error('The server did not start.');
  };
  const stop = async (signal: NodeJS.Signals = 'SIGKILL') => {
    if (running === null) return;
    const ended = once(running, 'exit');
    running.kill(signal);
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
