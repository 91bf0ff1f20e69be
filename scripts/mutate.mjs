import { spawnSync } from 'node:child_process';

/**
 * Runs the mutation tester on a folder or a file of book or core, against the tests of its room:
 * `npm run mutate -- packages/core/src/purchasing/stock`.
 */
const [path] = process.argv.slice(2);
const room = /^packages\/(book|core)\/src\/[^/]+/.exec(path ?? '')?.[0];
if (path === undefined || room === undefined) {
  console.error('Which folder or file of book or core? Such as: npm run mutate -- packages/core/src/money');
  process.exit(1);
}
const files = path.endsWith('.ts') ? path : `${path.replace(/\/$/, '')}/**/*.ts`;
const { status } = spawnSync('npx', ['stryker', 'run', '--mutate', `${files},!**/*.test.ts,!**/index.ts`], {
  stdio: 'inherit',
  env: { ...process.env, MUTATED_ROOM: room },
});
process.exit(status ?? 1);
