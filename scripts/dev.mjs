// `npm run dev`: serves with reload. The web application is at the address that Vite prints, its API behind it.
import { ensurePackages } from './setup/packages.mjs';
import { database } from './setup/database.mjs';
import { ROOT } from './setup/paths.mjs';
import { begin, main, run } from './setup/run.mjs';

await main(async () => {
  ensurePackages();
  run('npx', ['tsc', '-b'], { cwd: ROOT });
  const { url, secret, stop } = await database();
  const commands = [
    'tsc -b -w --preserveWatchOutput',
    'node --watch --enable-source-maps apps/server/dist/main.js',
    'npm run dev -w @nuvar/web',
  ];
  const all = begin('npx', ['concurrently', '-k', '-n', 'types,server,web', ...commands], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: url, SESSION_SECRET: secret },
  });
  process.on('SIGINT', () => undefined);
  all.on('exit', (code) => {
    stop();
    process.exit(code ?? 0);
  });
});
