import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { ask, run, SetupError } from './run.mjs';

const isRoot = process.getuid?.() === 0;

/** Installs packages of Debian, saying so; without the rights, says what to run. */
export function installFromDebian(packages, what) {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  const sudo = isRoot ? [] : ['sudo', '-n'];
  const may = existsSync('/usr/bin/apt-get') && (isRoot || ask('sudo', ['-n', 'true']) !== null);
  if (!may) throw new SetupError(`${what} is missing. Please run: ${isRoot ? '' : 'sudo '}${command}`);
  console.log(`${what} is missing: installing it from Debian's packages (${command}).`);
  const [program, ...first] = [...sudo, 'apt-get'];
  const options = {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    stdio: ['ignore', 'ignore', 'inherit'],
  };
  run(program, [...first, 'update', '-q'], options);
  run(program, [...first, 'install', '-y', '-q', '--no-install-recommends', ...packages], options);
}

/** Keeps Debian's package from making and starting a cluster of its own beside ours. */
export function refuseMainCluster() {
  const file = '/etc/postgresql-common/createcluster.conf';
  if (!isRoot || (existsSync(file) && readFileSync(file, 'utf8').includes('create_main_cluster = false'))) return;
  mkdirSync('/etc/postgresql-common', { recursive: true });
  writeFileSync(file, 'create_main_cluster = false\n', { flag: 'a' });
}
