// `npm start`: does all the set-up that is still missing, then serves until Ctrl-C.
import { ensurePackages } from './setup/packages.mjs';
import { build } from './setup/build.mjs';
import { database } from './setup/database.mjs';
import { ROOT } from './setup/paths.mjs';
import { begin, main } from './setup/run.mjs';

await main(async () => {
  ensurePackages();
  build();
  const { url, secret, stop } = await database();
  const server = begin('node', ['--enable-source-maps', 'apps/server/dist/main.js'], {
    cwd: ROOT,
    env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: url, SESSION_SECRET: secret },
  });
  let stopping = false;
  const end = () => {
    if (stopping) return;
    stopping = true;
    server.kill('SIGTERM');
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
  server.on('exit', (code) => {
    stop();
    process.exit(stopping ? 0 : (code ?? 1));
  });
});
