import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from '../setup/paths.mjs';
import { median, timed } from './measure.mjs';

const pg = createRequire(join(ROOT, 'apps/server/package.json'))('pg');

/** Signs somebody up, takes in the bench book, and measures its snapshot against the bare SQL that it needs. */
export async function benchServer(file, server, databaseUrl) {
  const cookie = await signUp(server);
  let id = '';
  const taking = await timed(async () => {
    const answer = await fetch(`${server}/api/book-files`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(file),
    });
    if (!answer.ok) throw new Error(await answer.text());
    ({ id } = await answer.json());
  });
  await settled(databaseUrl);
  const get = () =>
    timed(async () => (await fetch(`${server}/api/books/${id}`, { headers: { cookie } })).arrayBuffer());
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const putTogether = await median(9, async () => {
    await client.query('DELETE FROM kept_snapshots');
    return get();
  });
  const kept = await median(9, get);
  const bare = await bareSql(client, id);
  await client.end();
  return {
    rows: [
      ['bench book taken in from its file', taking, '6,000 ms'],
      ['snapshot of the bench book from the server (median of 9)', kept, '400 ms'],
      ['the same where it has to be put together from the rows (median of 9)', putTogether, ''],
      ['the bare SQL that reads those rows, on one connection (median of 9)', bare, 'snapshot at half its rate'],
    ],
    id,
    cookie,
  };
}

/** Brings the tables into the state in which the database's own upkeep leaves them a minute after so many rows came in. */
async function settled(databaseUrl) {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  await client.query('VACUUM ANALYZE');
  await client.end();
}

async function signUp(server) {
  const body = JSON.stringify({ name: 'Bench', email: `${randomUUID()}@example.test`, password: 'only for the bench' });
  const answer = await fetch(`${server}/api/accounts`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  });
  return (answer.headers.getSetCookie()[0] ?? '').split(';')[0];
}

async function bareSql(client, id) {
  const { rows } = await client.query(
    `SELECT table_name FROM information_schema.tables WHERE table_name LIKE 'row\\_%'`,
  );
  return median(9, () =>
    timed(async () => {
      for (const { table_name: table } of rows)
        await client.query(`SELECT * FROM ${table} WHERE book_id = $1 ORDER BY id`, [id]);
    }),
  );
}
