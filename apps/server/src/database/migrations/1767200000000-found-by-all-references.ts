import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy } from '../row-sql.js';

const FOUND_BY: readonly (readonly [table: string, column: string])[] = [
  ['channel', 'fulfilled_by_id'],
  ['packing_line', 'material_id'],
  ['packing_line', 'grade_id'],
  ['postage_share', 'table_id'],
  ['quote_option', 'method_id'],
  ['mix_product', 'channel_id'],
  ['mix_resource', 'grade_id'],
  ['mix_resource', 'equipment_id'],
  ['mix_resource', 'run_id'],
  ['mix_resource', 'material_id'],
  ['mix_resource', 'component_id'],
  ['decision', 'channel_id'],
  ['decision', 'grade_id'],
  ['decision', 'equipment_id'],
  ['decision_cost', 'running_cost_id'],
];

/** Every row that points to another is found by it: what is removed need not look through whole tables. */
export class FoundByAllReferences1767200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column] of FOUND_BY) await runner.query(findsBy(table, column));
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table, column] of FOUND_BY) await runner.query(`DROP INDEX row_${table}_${column}`);
  }
}
