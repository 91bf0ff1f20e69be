import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the project. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** Where everything is kept that is made on this machine: the database, secrets, marks of what was built. */
export const DATA = join(ROOT, '.data');
