import { serverProcess, type ServerProcess } from '../apps/server/src/testing/server-process.js';

/** The built application over the database of the tests. */
export function startServer(): Promise<ServerProcess> {
  const databaseUrl = process.env.TEST_DATABASE_URL;
  if (databaseUrl === undefined) throw new Error('TEST_DATABASE_URL is not set. `npm test` sets it.');
  return serverProcess(databaseUrl);
}
