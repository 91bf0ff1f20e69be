import { existsSync } from 'node:fs';
import { installFromDebian } from './debian.mjs';

/** Two linear solvers of Debian's packages that the mix is checked against and measured against; installed where missing. */
export function ensureReferenceSolvers() {
  const missing = [
    ['/usr/bin/glpsol', 'glpk-utils'],
    ['/usr/bin/cbc', 'coinor-cbc'],
  ].flatMap(([path, name]) => (existsSync(path) ? [] : [name]));
  if (missing.length > 0) installFromDebian(missing, 'the reference solvers');
}
