import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Decisions: the mix plan that says what an hour earns, hours that are partly scarce, shares of running costs. */
export class PartsOfDecisions1766600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE row_decision
         ADD COLUMN mix_plan_id uuid,
         ADD COLUMN scarce_hours numeric CHECK (scarce_hours >= 0)`,
    );
    await runner.query(
      `ALTER TABLE row_decision_cost
         ADD COLUMN share_percent numeric NOT NULL DEFAULT 100 CHECK (share_percent >= 0 AND share_percent <= 100)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_decision_cost DROP COLUMN share_percent`);
    await runner.query(`ALTER TABLE row_decision DROP COLUMN scarce_hours, DROP COLUMN mix_plan_id`);
  }
}
