import type { MigrationInterface, QueryRunner } from 'typeorm';

/** By which of its listed prices a material is planned, for each material and for the book. */
export class PlanningPrices1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_material ADD COLUMN planning_basis text, ADD COLUMN planning_months integer CHECK (planning_months > 0),
      ADD COLUMN buffer_percent numeric CHECK (buffer_percent >= 0)`);
    await runner.query(`ALTER TABLE row_settings ADD COLUMN planning_basis text NOT NULL DEFAULT 'latest',
      ADD COLUMN planning_months integer NOT NULL DEFAULT 12 CHECK (planning_months > 0),
      ADD COLUMN buffer_percent numeric NOT NULL DEFAULT 0 CHECK (buffer_percent >= 0)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['row_material', 'row_settings']) {
      await runner.query(
        `ALTER TABLE ${table} DROP COLUMN planning_basis, DROP COLUMN planning_months, DROP COLUMN buffer_percent`,
      );
    }
  }
}
