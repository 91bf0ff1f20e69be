import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Mix plans: totals that are differences or shares, components that are made where they run short. Decisions: orders with batches of their own. */
export class LimitsOfMixes1767000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_mix_total ADD COLUMN measure text NOT NULL DEFAULT 'units'`);
    await runner.query(`ALTER TABLE row_mix_total_product ADD COLUMN side text NOT NULL DEFAULT 'counted'`);
    await runner.query(`ALTER TABLE row_mix_resource ADD COLUMN made_when_short boolean NOT NULL DEFAULT false`);
    await runner.query(`ALTER TABLE row_decision ADD COLUMN own_batches boolean NOT NULL DEFAULT false`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_decision DROP COLUMN own_batches`);
    await runner.query(`ALTER TABLE row_mix_resource DROP COLUMN made_when_short`);
    await runner.query(`ALTER TABLE row_mix_total_product DROP COLUMN side`);
    await runner.query(`ALTER TABLE row_mix_total DROP COLUMN measure`);
  }
}
