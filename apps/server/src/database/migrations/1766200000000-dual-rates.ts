import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Service departments at two rates: the part that varies with use, and what is really used. */
export class DualRates1766200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE row_department ADD COLUMN variable_percent numeric CHECK (variable_percent >= 0 AND variable_percent <= 100)`,
    );
    await runner.query(`ALTER TABLE row_service_use ADD COLUMN actual_amount numeric CHECK (actual_amount >= 0)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_service_use DROP COLUMN actual_amount`);
    await runner.query(`ALTER TABLE row_department DROP COLUMN variable_percent`);
  }
}
