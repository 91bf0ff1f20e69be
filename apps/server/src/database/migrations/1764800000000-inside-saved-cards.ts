import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A saved card keeps what went into its components too; cards of before have only their own lines. */
export class InsideSavedCards1764800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_frozen_line ADD COLUMN within text NOT NULL DEFAULT ''`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DELETE FROM row_frozen_line WHERE within <> ''`);
    await runner.query(`ALTER TABLE row_frozen_line DROP COLUMN within`);
  }
}
