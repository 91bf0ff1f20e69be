import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startCluster } from './cluster.mjs';
import { DATA } from './paths.mjs';

/** The database to use: the one that DATABASE_URL names, else a cluster of the application's own. */
export async function database() {
  const { DATABASE_URL } = process.env;
  if (!DATABASE_URL) return startCluster('postgres');
  return { url: DATABASE_URL, secret: process.env.SESSION_SECRET ?? keptSecret(), stop: () => undefined };
}

function keptSecret() {
  const file = join(DATA, 'session-secret');
  mkdirSync(DATA, { recursive: true });
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}
