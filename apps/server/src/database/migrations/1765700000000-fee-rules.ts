import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const amount = (column: string) => `${column} numeric CHECK (${column} >= 0)`;

const TABLES = [
  `CREATE TABLE row_fee_rule (${ROW}, channel_id uuid NOT NULL, position integer NOT NULL, name text NOT NULL CHECK (name <> ''),
    taken_of text NOT NULL, ${amount('percent')}, ${amount('amount')}, ${amount('minimum')}, ${amount('maximum')}, band_rule text NOT NULL,
    spread_over numeric CHECK (spread_over > 0), ${amount('tax_percent')}, category text NOT NULL, starts_on date, ends_on date,
    ${pointsTo('channel_id', 'row_channel')})`,
  `CREATE TABLE row_fee_band (${ROW}, rule_id uuid NOT NULL, up_to numeric CHECK (up_to > 0), ${amount('percent')}, ${amount('amount')},
    ${pointsTo('rule_id', 'row_fee_rule')})`,
];

/** What a channel took in two columns becomes fees of its own; a fee of nothing was none. */
const MOVES = [
  `INSERT INTO row_fee_rule (book_id, id, version, channel_id, position, name, taken_of, percent, band_rule, category)
    SELECT book_id, gen_random_uuid(), 1, id, 0, 'Percentage fee', fee_basis, fee_percent, 'whole price', '' FROM row_channel
    WHERE fee_percent <> 0`,
  `INSERT INTO row_fee_rule (book_id, id, version, channel_id, position, name, taken_of, amount, band_rule, category)
    SELECT book_id, gen_random_uuid(), 1, id, 1, 'Fixed fee', 'order', fee_per_order, 'whole price', '' FROM row_channel
    WHERE fee_per_order <> 0`,
  'SET CONSTRAINTS ALL IMMEDIATE',
  'ALTER TABLE row_channel DROP COLUMN fee_percent, DROP COLUMN fee_basis, DROP COLUMN fee_per_order',
];

/** Channels take fees by rules, with bands and dates. */
export class FeeRules1765700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of TABLES) await runner.query(statement);
    await runner.query(findsBy('fee_rule', 'channel_id'));
    await runner.query(findsBy('fee_band', 'rule_id'));
    for (const statement of MOVES) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_channel ADD COLUMN fee_percent numeric NOT NULL DEFAULT 0,
      ADD COLUMN fee_basis text NOT NULL DEFAULT 'price paid', ADD COLUMN fee_per_order numeric NOT NULL DEFAULT 0`);
    await runner.query(`UPDATE row_channel SET fee_percent = fee.percent, fee_basis = fee.taken_of FROM row_fee_rule fee
      WHERE fee.book_id = row_channel.book_id AND fee.channel_id = row_channel.id AND fee.percent IS NOT NULL`);
    await runner.query(`UPDATE row_channel SET fee_per_order = fee.amount FROM row_fee_rule fee
      WHERE fee.book_id = row_channel.book_id AND fee.channel_id = row_channel.id AND fee.taken_of = 'order' AND fee.amount IS NOT NULL`);
    await runner.query('DROP TABLE row_fee_band CASCADE');
    await runner.query('DROP TABLE row_fee_rule CASCADE');
  }
}
