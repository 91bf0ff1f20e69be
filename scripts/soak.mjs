// `npm run soak`: the long form of the tests of what the server promises (docs/reliability.md). It takes about an hour.
import { startCluster } from './setup/cluster.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { build } from './setup/build.mjs';
import { ROOT } from './setup/paths.mjs';
import { main, run } from './setup/run.mjs';

/** 100 kills each of a server and of the database, 50,000 bad requests, 50 people for 10 minutes; each can be set. */
const LONG = { KILLS: '100', BAD_REQUESTS: '50000', PEOPLE: '50', MINUTES: '10' };

await main(async () => {
  ensurePackages();
  const cluster = await startCluster(`soak-${process.pid}`);
  try {
    build();
    const env = { ...LONG, ...process.env, TEST_DATABASE_URL: cluster.url };
    run('npx', ['vitest', 'run', '--project', 'server', 'reliability', 'bad-requests'], { cwd: ROOT, env });
  } finally {
    cluster.stop();
    cluster.remove();
  }
});
