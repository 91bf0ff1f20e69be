// `npm run evaluate -- FILE [DAY]`: prints the figures of a book file as JSON, without server or database.
import { readFileSync } from 'node:fs';
import { ensurePackages } from './setup/packages.mjs';
import { ROOT } from './setup/paths.mjs';
import { main, run, SetupError } from './setup/run.mjs';

await main(async () => {
  const [file, day = new Date().toISOString().slice(0, 10)] = process.argv.slice(2);
  if (file === undefined) throw new SetupError('Which book file? npm run evaluate -- book.nuvar.json [2026-03-31]');
  ensurePackages();
  run('npx', ['tsc', '-b'], { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] });
  const { isDay, readBookFile, rowsByKind } = await import('@nuvar/book');
  if (!isDay(day)) throw new SetupError(`"${day}" is not a day. Write it as 2026-03-31.`);
  const { evaluate, reportOf } = await import('@nuvar/core');
  const read = readBookFile(parse(file));
  if (!read.ok) throw new SetupError(read.problems.map((each) => each.sentence).join('\n'));
  console.log(JSON.stringify(reportOf(evaluate(rowsByKind(read.rows), day)), null, 2));
});

function parse(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    throw new SetupError(`${file} could not be read: ${error.message}.`);
  }
}
