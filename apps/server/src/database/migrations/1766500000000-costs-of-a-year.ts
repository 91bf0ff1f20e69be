import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Labour grades by the pay and the hours of a year; equipment by the upkeep and the floor space of a year. */
export class CostsOfAYear1766500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE row_labour_grade
         ADD COLUMN pay_per_year numeric CHECK (pay_per_year >= 0),
         ADD COLUMN paid_hours_per_year numeric CHECK (paid_hours_per_year > 0),
         ADD COLUMN holiday_hours_per_year numeric NOT NULL DEFAULT 0 CHECK (holiday_hours_per_year >= 0),
         ADD COLUMN absence_hours_per_year numeric NOT NULL DEFAULT 0 CHECK (absence_hours_per_year >= 0)`,
    );
    await runner.query(
      `ALTER TABLE row_equipment
         ADD COLUMN upkeep_per_year numeric CHECK (upkeep_per_year >= 0),
         ADD COLUMN floor_space numeric CHECK (floor_space >= 0)`,
    );
    await runner.query(
      `ALTER TABLE row_settings ADD COLUMN floor_cost_per_year numeric CHECK (floor_cost_per_year >= 0)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_settings DROP COLUMN floor_cost_per_year`);
    await runner.query(`ALTER TABLE row_equipment DROP COLUMN floor_space, DROP COLUMN upkeep_per_year`);
    await runner.query(
      `ALTER TABLE row_labour_grade
         DROP COLUMN absence_hours_per_year, DROP COLUMN holiday_hours_per_year,
         DROP COLUMN paid_hours_per_year, DROP COLUMN pay_per_year`,
    );
  }
}
