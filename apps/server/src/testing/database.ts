import { readFileSync } from 'node:fs';
import pg from 'pg';
import { newId } from '@nuvar/book';

/** The address of the database that `npm test` has started. */
export function testDatabaseUrl(): string {
  const url = process.env.TEST_DATABASE_URL;
  if (url === undefined) throw new RangeError('TEST_DATABASE_URL is not set. `npm test` sets it.');
  return url;
}

/** Makes a database beside that of the tests, empty or laid out by a file of SQL; `remove` drops it. */
export async function databaseOfItsOwn(sqlFile?: URL): Promise<{ url: string; remove: () => Promise<void> }> {
  const name = `test_${newId().replaceAll('-', '')}`;
  const asAdministrator = async (sql: string) => {
    const client = new pg.Client(testDatabaseUrl());
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  await asAdministrator(`CREATE DATABASE ${name}`);
  const address = new URL(testDatabaseUrl());
  address.pathname = `/${name}`;
  if (sqlFile !== undefined) {
    const client = new pg.Client(address.href);
    await client.connect();
    await client.query(readFileSync(sqlFile, 'utf8')).finally(() => client.end());
  }
  return { url: address.href, remove: () => asAdministrator(`DROP DATABASE ${name} WITH (FORCE)`) };
}
