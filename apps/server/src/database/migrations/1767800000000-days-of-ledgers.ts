import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What ledgers come to by group and day stands in one table for all of them; so far there is that of stock. */
export class DaysOfLedgers1767800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE stock_days RENAME TO ledger_days');
    await runner.query('ALTER TABLE ledger_days RENAME COLUMN material_id TO group_id');
    await runner.query('ALTER TABLE ledger_days RENAME COLUMN kept TO state');
    await runner.query(`ALTER TABLE ledger_days ADD COLUMN ledger text NOT NULL DEFAULT 'stockMovement'`);
    await runner.query('ALTER TABLE ledger_days ALTER COLUMN ledger DROP DEFAULT');
    await runner.query('ALTER TABLE ledger_days DROP CONSTRAINT stock_days_pkey');
    await runner.query(
      'ALTER TABLE ledger_days ADD CONSTRAINT ledger_days_pkey PRIMARY KEY (book_id, ledger, group_id, day)',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DELETE FROM ledger_days WHERE ledger <> 'stockMovement'`);
    await runner.query('ALTER TABLE ledger_days DROP CONSTRAINT ledger_days_pkey');
    await runner.query('ALTER TABLE ledger_days DROP COLUMN ledger');
    await runner.query('ALTER TABLE ledger_days RENAME COLUMN state TO kept');
    await runner.query('ALTER TABLE ledger_days RENAME COLUMN group_id TO material_id');
    await runner.query('ALTER TABLE ledger_days RENAME TO stock_days');
    await runner.query('ALTER TABLE stock_days ADD CONSTRAINT stock_days_pkey PRIMARY KEY (book_id, material_id, day)');
  }
}
