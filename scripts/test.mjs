// `npm test`: lint, types, unit and server tests, and the real interface in a real browser, on a throw-away database.
import { ensureChromium } from './setup/chromium.mjs';
import { ensureReferenceSolvers } from './setup/reference-solvers.mjs';
import { startCluster } from './setup/cluster.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { build } from './setup/build.mjs';
import { ROOT } from './setup/paths.mjs';
import { main, runTogether, SetupError } from './setup/run.mjs';

/**
 * What stands together runs together: lint and types take one core each; the tests of the server, one file at a time, mostly
 * wait for processes and the database, and leave a core to the others.
 */
const STEPS = [['lint', 'types'], ['unit', 'server'], ['browser']];

/** The day on which the tests run: that after `--day`; without it, the tests choose the day of the demo book. */
function testDay([option, day]) {
  if (option === undefined) return {};
  if (option === '--day' && /^\d{4}-\d{2}-\d{2}$/.test(day ?? '') && !Number.isNaN(Date.parse(day)))
    return { TEST_DAY: day };
  throw new SetupError('Say on which day the tests run as: npm test -- --day 2028-02-29');
}

await main(async () => {
  const day = testDay(process.argv.slice(2));
  ensurePackages();
  ensureChromium();
  ensureReferenceSolvers();
  const cluster = await startCluster(`test-${process.pid}`);
  try {
    build();
    const options = { cwd: ROOT, env: { ...process.env, TEST_DATABASE_URL: cluster.url, ...day } };
    for (const steps of STEPS) {
      const begun = performance.now();
      await runTogether(
        steps.map((step) => ['npm', 'run', '--silent', step]),
        options,
      );
      console.log(`${steps.join(' and ')}: passed in ${Math.round((performance.now() - begun) / 1000)} s`);
    }
  } finally {
    cluster.stop();
    cluster.remove();
  }
});
