import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run } from './run.mjs';

/** Builds packages, server and web application; what has not changed since is left as it is. */
export function build() {
  run('npx', ['tsc', '-b'], { cwd: ROOT });
  const built = join(ROOT, 'apps/web/dist/index.html');
  const sources = ['packages/book/src', 'packages/core/src', 'apps/web', 'package-lock.json'].map((path) =>
    newest(join(ROOT, path)),
  );
  if (existsSync(built) && statSync(built).mtimeMs > Math.max(...sources)) return;
  console.log('Building the web application.');
  run('npm', ['run', 'build', '-w', '@nuvar/web', '--silent', '--', '--logLevel', 'warn'], { cwd: ROOT });
}

/** When something in a folder was last written, what was built left out. */
function newest(path) {
  if (!statSync(path).isDirectory()) return statSync(path).mtimeMs;
  const inside = readdirSync(path).filter((name) => name !== 'dist' && name !== 'node_modules');
  return Math.max(0, ...inside.map((name) => newest(join(path, name))));
}
