import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run, SetupError } from './run.mjs';

/** Installs the npm packages where they are missing or older than the lock file. */
export function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new SetupError(`Nuvar needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  const installed = join(ROOT, 'node_modules/.package-lock.json');
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(join(ROOT, 'package-lock.json')).mtimeMs) return;
  console.log('Installing packages (npm ci); the first time takes about a minute.');
  run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel', 'error'], { cwd: ROOT });
}
