import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const POSITION = 'position integer NOT NULL CHECK (position >= 0)';

const TABLES = [
  `CREATE TABLE row_mix_period (${ROW}, plan_id uuid NOT NULL, ${POSITION}, name text NOT NULL CHECK (name <> ''),
    open_days numeric CHECK (open_days > 0), ${pointsTo('plan_id', 'row_mix_plan')})`,
  `CREATE TABLE row_mix_period_product (${ROW}, period_id uuid NOT NULL, mix_product_id uuid NOT NULL,
    minimum numeric NOT NULL CHECK (minimum >= 0), maximum numeric CHECK (maximum >= 0),
    made numeric NOT NULL CHECK (made >= 0), sold numeric NOT NULL CHECK (sold >= 0),
    ${pointsTo('period_id', 'row_mix_period')}, ${pointsTo('mix_product_id', 'row_mix_product')})`,
  `CREATE TABLE row_mix_period_resource (${ROW}, period_id uuid NOT NULL, resource_id uuid NOT NULL,
    available numeric CHECK (available >= 0), extra numeric CHECK (extra >= 0), made numeric NOT NULL CHECK (made >= 0),
    ${pointsTo('period_id', 'row_mix_period')}, ${pointsTo('resource_id', 'row_mix_resource')})`,
];

const FOUND_BY: readonly (readonly [table: string, column: string])[] = [
  ['mix_period', 'plan_id'],
  ['mix_period_product', 'period_id'],
  ['mix_period_product', 'mix_product_id'],
  ['mix_period_resource', 'period_id'],
  ['mix_period_resource', 'resource_id'],
];

const COLUMNS: readonly (readonly [table: string, column: string, type: string])[] = [
  ['row_mix_plan', 'interest_percent', 'numeric NOT NULL DEFAULT 0 CHECK (interest_percent >= 0)'],
  ['row_mix_product', 'opening_stock', 'numeric NOT NULL DEFAULT 0 CHECK (opening_stock >= 0)'],
  ['row_mix_product', 'closing_stock', 'numeric CHECK (closing_stock >= 0)'],
  ['row_mix_product', 'storage_cost', 'numeric NOT NULL DEFAULT 0 CHECK (storage_cost >= 0)'],
  ['row_mix_product', 'keeps_for', 'integer CHECK (keeps_for >= 0)'],
  ['row_mix_resource', 'is_kept', 'boolean NOT NULL DEFAULT false'],
];

/** Mix plans of several periods, with stock that is carried over. */
export class PeriodsOfMixes1767100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of TABLES) await runner.query(statement);
    for (const [table, column] of FOUND_BY) await runner.query(findsBy(table, column));
    for (const [table, column, type] of COLUMNS)
      await runner.query(`ALTER TABLE ${table} ADD COLUMN ${column} ${type}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table, column] of COLUMNS) await runner.query(`ALTER TABLE ${table} DROP COLUMN ${column}`);
    for (const table of TABLES.map((statement) => /TABLE (\w+)/.exec(statement)?.[1] ?? '').reverse())
      await runner.query(`DROP TABLE ${table} CASCADE`);
  }
}
