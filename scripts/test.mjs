// `npm test`: lint, types, unit and server tests, and the real interface in a real browser, on a throw-away database.
import { ensureChromium } from './setup/chromium.mjs';
import { ensureReferenceSolvers } from './setup/reference-solvers.mjs';
import { startCluster } from './setup/cluster.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { build } from './setup/build.mjs';
import { ROOT } from './setup/paths.mjs';
import { main, run } from './setup/run.mjs';

const STEPS = ['lint', 'types', 'unit', 'browser'];

await main(async () => {
  ensurePackages();
  ensureChromium();
  ensureReferenceSolvers();
  const cluster = await startCluster(`test-${process.pid}`);
  try {
    build();
    for (const step of STEPS) {
      const begun = performance.now();
      run('npm', ['run', '--silent', step], { cwd: ROOT, env: { ...process.env, TEST_DATABASE_URL: cluster.url } });
      console.log(`${step}: passed in ${Math.round((performance.now() - begun) / 1000)} s`);
    }
  } finally {
    cluster.stop();
    cluster.remove();
  }
});
