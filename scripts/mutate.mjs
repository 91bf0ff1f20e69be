import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Runs the mutation tester on a folder or a file of book or core, against the tests of its room:
 * `npm run mutate -- packages/core/src/purchasing/stock`. With `--sample 60` it changes that many lines alone, drawn at random,
 * and the score is an estimate of that of the folder; `--seed 7` draws others.
 */
const [path, ...options] = process.argv.slice(2);
const numberOf = (name, otherwise) => {
  const at = options.indexOf(name);
  return at < 0 ? otherwise : Number(options[at + 1]);
};
const room = /^packages\/(book|core)\/src\/[^/]+/.exec(path ?? '')?.[0];
if (path === undefined || room === undefined) {
  console.error('Which folder or file of book or core? Such as: npm run mutate -- packages/core/src/money');
  process.exit(1);
}
const sample = numberOf('--sample', 0);
const files = path.endsWith('.ts') ? path : `${path.replace(/\/$/, '')}/**/*.ts`;
const mutated = sample > 0 ? sampleOf(path, sample, numberOf('--seed', 1)) : `${files},!**/*.test.ts,!**/index.ts`;
const { status } = spawnSync('npx', ['stryker', 'run', '--mutate', mutated], {
  stdio: 'inherit',
  env: { ...process.env, MUTATED_ROOM: room },
});
process.exit(status ?? 1);

/** So many lines of code of a folder, as the mutation tester is told of them; the same for the same seed. */
function sampleOf(folder, count, seed) {
  const sources = statSync(folder).isFile()
    ? [folder]
    : readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((file) => join(folder, file));
  const lines = sources
    .filter((file) => file.endsWith('.ts') && !/\.test\.ts$|index\.ts$/.test(file))
    .flatMap((file) =>
      readFileSync(file, 'utf8')
        .split('\n')
        .flatMap((line, index) =>
          /[=<>?&|(]/.test(line) && !/^(import|export \{|\s*\*|\/\*)/.test(line)
            ? [`${file}:${index + 1}-${index + 1}`]
            : [],
        ),
    );
  let state = seed;
  // Park and Miller, 1988.
  const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
  const drawn = new Set();
  while (drawn.size < Math.min(count, lines.length)) drawn.add(lines[Math.floor(random() * lines.length)]);
  return [...drawn].join(',');
}
