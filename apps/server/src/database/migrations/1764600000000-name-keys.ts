import { nameKey } from '@nuvar/book';
import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The tables of which no two rows of a book bear the same name, as they are today. */
const TABLES = [
  'book_unit',
  'supplier',
  'material',
  'labour_grade',
  'equipment',
  'equipment_run',
  'product',
  'running_cost',
  'channel',
].map((name) => `row_${name}`);

interface NamedRow {
  readonly book_id: string;
  readonly id: string;
  readonly name: string;
}

/**
 * Names are compared by a key that is worked out in one place (`nameKey`), not by what `lower()` of some locale makes of
 * them. Keys are held at the end of a change, so that two rows can swap their names. Two names of a book that are one by
 * their key stay as they are: the key of the later row ends in its id.
 */
export class NameKeys1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) {
      await runner.query(`ALTER TABLE ${table} ADD COLUMN name_key text`);
      await fillKeys(runner, table);
      await runner.query(`DROP INDEX ${table}_name`);
      await runner.query(
        `ALTER TABLE ${table} ALTER COLUMN name_key SET NOT NULL,
           ADD CONSTRAINT ${table}_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED`,
      );
    }
    await runner.query(`ALTER TABLE row_price_point DROP CONSTRAINT row_price_point_book_id_product_id_channel_id_key,
      ADD CONSTRAINT row_price_point_channel UNIQUE (book_id, product_id, channel_id) DEFERRABLE INITIALLY DEFERRED`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) {
      await runner.query(`ALTER TABLE ${table} DROP COLUMN name_key`);
      await runner.query(`CREATE UNIQUE INDEX ${table}_name ON ${table} (book_id, lower(name))`);
    }
    await runner.query(`ALTER TABLE row_price_point DROP CONSTRAINT row_price_point_channel,
      ADD UNIQUE (book_id, product_id, channel_id)`);
  }
}

async function fillKeys(runner: QueryRunner, table: string): Promise<void> {
  const rows = (await runner.query(`SELECT book_id, id, name FROM ${table} ORDER BY book_id, id`)) as NamedRow[];
  const taken = new Set<string>();
  const keys = rows.map(({ book_id, id, name }) => {
    const key = nameKey(name);
    const isTaken = taken.has(`${book_id} ${key}`);
    taken.add(`${book_id} ${key}`);
    return { book_id, id, key: isTaken ? `${key} ${id}` : key };
  });
  await runner.query(
    `UPDATE ${table} AS row SET name_key = found.key FROM json_to_recordset($1::json) AS found (book_id uuid, id uuid, key text)
     WHERE row.book_id = found.book_id AND row.id = found.id`,
    [JSON.stringify(keys)],
  );
  // Otherwise the constraints to come would wait for what the update has left to be looked at.
  await runner.query('SET CONSTRAINTS ALL IMMEDIATE');
}
