import type { MigrationInterface, QueryRunner } from 'typeorm';

const COLUMNS = [
  "duty_form text NOT NULL DEFAULT 'percent'",
  'specific_duty numeric CHECK (specific_duty >= 0)',
  "specific_per text NOT NULL DEFAULT 'kg'",
  'anti_dumping_percent numeric CHECK (anti_dumping_percent >= 0)',
  'preference_percent numeric CHECK (preference_percent >= 0)',
  'has_proof_of_origin boolean NOT NULL DEFAULT false',
];

/** Duty by amount as well as in percent, anti-dumping duty, and preference by origin. */
export class DutyForms1765100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_shipment_line ${COLUMNS.map((column) => `ADD COLUMN ${column}`).join(', ')}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    const names = COLUMNS.map((column) => column.split(' ')[0] as string);
    await runner.query(`ALTER TABLE row_shipment_line ${names.map((name) => `DROP COLUMN ${name}`).join(', ')}`);
  }
}
