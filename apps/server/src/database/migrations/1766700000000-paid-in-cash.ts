import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Which running costs are paid in cash, and what is paid back on loans. */
export class PaidInCash1766700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_running_cost ADD COLUMN paid_in_cash boolean NOT NULL DEFAULT true`);
    await runner.query(
      `ALTER TABLE row_settings
         ADD COLUMN repayments_per_month numeric NOT NULL DEFAULT 0 CHECK (repayments_per_month >= 0)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_settings DROP COLUMN repayments_per_month`);
    await runner.query(`ALTER TABLE row_running_cost DROP COLUMN paid_in_cash`);
  }
}
