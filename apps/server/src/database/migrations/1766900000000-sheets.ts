import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Parts that are cut from sheets. */
export class Sheets1766900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE row_material
         ADD COLUMN sheet_length numeric CHECK (sheet_length > 0),
         ADD COLUMN sheet_width numeric CHECK (sheet_width > 0),
         ADD COLUMN cut_width numeric NOT NULL DEFAULT 0 CHECK (cut_width >= 0)`,
    );
    await runner.query(
      `ALTER TABLE row_bill_line
         ADD COLUMN part_length numeric CHECK (part_length > 0),
         ADD COLUMN part_width numeric CHECK (part_width > 0),
         ADD COLUMN part_may_turn boolean NOT NULL DEFAULT true,
         ADD COLUMN part_layout text NOT NULL DEFAULT 'whole parts' CHECK (part_layout IN ('whole parts', 'area'))`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE row_bill_line
         DROP COLUMN part_layout, DROP COLUMN part_may_turn, DROP COLUMN part_width, DROP COLUMN part_length`,
    );
    await runner.query(
      `ALTER TABLE row_material DROP COLUMN cut_width, DROP COLUMN sheet_width, DROP COLUMN sheet_length`,
    );
  }
}
