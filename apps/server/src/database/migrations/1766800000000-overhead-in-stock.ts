import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Where absorbed overhead lies at the end of a month, and the finished stock from which the planned months go on. */
export class OverheadInStock1766800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE row_overhead_actual
         ADD COLUMN absorbed_in_progress numeric NOT NULL DEFAULT 0 CHECK (absorbed_in_progress >= 0),
         ADD COLUMN absorbed_in_stock numeric NOT NULL DEFAULT 0 CHECK (absorbed_in_stock >= 0)`,
    );
    await runner.query(
      `ALTER TABLE row_product
         ADD COLUMN finished_stock numeric CHECK (finished_stock >= 0),
         ADD COLUMN finished_stock_on date`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_product DROP COLUMN finished_stock_on, DROP COLUMN finished_stock`);
    await runner.query(
      `ALTER TABLE row_overhead_actual DROP COLUMN absorbed_in_stock, DROP COLUMN absorbed_in_progress`,
    );
  }
}
