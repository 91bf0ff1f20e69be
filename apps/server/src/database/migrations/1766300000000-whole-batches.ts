import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whether a book plans in whole batches. */
export class WholeBatches1766300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_settings ADD COLUMN whole_batches boolean NOT NULL DEFAULT false`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_settings DROP COLUMN whole_batches`);
  }
}
