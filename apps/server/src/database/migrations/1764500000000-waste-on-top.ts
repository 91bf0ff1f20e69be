import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is wasted of a bill line may be a share of its input, as it was, or come on top of the net quantity. */
export class WasteOnTop1764500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_bill_line ADD COLUMN loss_basis text NOT NULL DEFAULT 'of the input',
      DROP CONSTRAINT row_bill_line_loss_percent_check,
      ADD CONSTRAINT row_bill_line_loss_percent_check CHECK (loss_percent >= 0 AND (loss_percent < 100 OR loss_basis = 'on top'))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_bill_line DROP CONSTRAINT row_bill_line_loss_percent_check`);
    await runner.query(
      `UPDATE row_bill_line SET loss_percent = 100 * loss_percent / (100 + loss_percent) WHERE loss_basis = 'on top'`,
    );
    await runner.query(`ALTER TABLE row_bill_line DROP COLUMN loss_basis,
      ADD CONSTRAINT row_bill_line_loss_percent_check CHECK (loss_percent >= 0 AND loss_percent < 100)`);
  }
}
