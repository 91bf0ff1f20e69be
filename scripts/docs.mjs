// `npm run docs`: writes the tables of docs that are made from the code: gaps, figure keys and problems.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages } from './setup/packages.mjs';
import { ROOT } from './setup/paths.mjs';
import { main, run, SetupError } from './setup/run.mjs';

await main(async () => {
  ensurePackages();
  run('npx', ['tsc', '-b'], { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] });
  const { CALCULATIONS, GAPS } = await import('@nuvar/core');
  const { PROBLEMS } = await import('@nuvar/book');
  put('figures.md', 'code', [
    '| code | sentence |',
    '| --- | --- |',
    ...Object.entries(GAPS).map(([code, { sentence }]) => `| \`${code}\` | ${sentence} |`),
  ]);
  put('figures.md', 'key', [
    '| key | what it is |',
    '| --- | --- |',
    ...CALCULATIONS.flatMap(({ name, meanings }) =>
      Object.entries(meanings).map(([member, meaning]) => `| \`${name}/…/${member}\` | ${meaning} |`),
    ),
  ]);
  put('problems.md', 'code', [
    '| code | status | sentence |',
    '| --- | --- | --- |',
    ...Object.entries(PROBLEMS).map(([code, [status, sentence]]) => `| \`${code}\` | ${status} | ${sentence} |`),
  ]);
  run('npx', ['prettier', '--write', '--log-level', 'warn', 'docs/figures.md', 'docs/problems.md'], { cwd: ROOT });
});

/** Puts the lines of a table in the place of the one in a page whose first column has that heading. */
function put(page, heading, lines) {
  const file = join(ROOT, 'docs', page);
  const text = readFileSync(file, 'utf8');
  const table = new RegExp(`^\\| ${heading} .*\\n(?:\\|.*\\n)+`, 'm');
  if (!table.test(text)) throw new SetupError(`${page} has no table that begins with "${heading}".`);
  writeFileSync(
    file,
    text.replace(table, () => `${lines.join('\n')}\n`),
  );
}
