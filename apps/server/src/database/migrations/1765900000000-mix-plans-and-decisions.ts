import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const named = (table: string) =>
  `${ROW}, name text NOT NULL CHECK (name <> ''), name_key text NOT NULL, CONSTRAINT ${table}_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED`;

const POSITION = 'position integer NOT NULL CHECK (position >= 0)';

const TABLES = [
  `CREATE TABLE row_mix_plan (${named('row_mix_plan')}, goal text NOT NULL, open_days numeric CHECK (open_days > 0),
    seconds_at_most numeric NOT NULL CHECK (seconds_at_most > 0), gap_percent numeric NOT NULL CHECK (gap_percent >= 0))`,
  `CREATE TABLE row_mix_product (${ROW}, plan_id uuid NOT NULL, ${POSITION}, product_id uuid, channel_id uuid, name text NOT NULL,
    contribution numeric, revenue numeric CHECK (revenue >= 0), variable_cost numeric CHECK (variable_cost >= 0),
    quantity numeric NOT NULL CHECK (quantity >= 0), minimum numeric NOT NULL CHECK (minimum >= 0),
    maximum numeric CHECK (maximum >= 0), agreed numeric NOT NULL CHECK (agreed >= 0), lot numeric CHECK (lot > 0),
    counted_in text NOT NULL, set_up text NOT NULL, set_up_cost numeric CHECK (set_up_cost >= 0),
    ${pointsTo('plan_id', 'row_mix_plan')}, ${pointsTo('product_id', 'row_product')}, ${pointsTo('channel_id', 'row_channel')})`,
  `CREATE TABLE row_mix_resource (${ROW}, plan_id uuid NOT NULL, ${POSITION}, name text NOT NULL, grade_id uuid, equipment_id uuid,
    run_id uuid, material_id uuid, component_id uuid, unit text NOT NULL, available numeric CHECK (available >= 0),
    counts_on_order boolean NOT NULL, extra numeric NOT NULL CHECK (extra >= 0), extra_price numeric CHECK (extra_price >= 0),
    normal_price numeric CHECK (normal_price >= 0), ${pointsTo('plan_id', 'row_mix_plan')},
    ${pointsTo('grade_id', 'row_labour_grade')}, ${pointsTo('equipment_id', 'row_equipment')},
    ${pointsTo('run_id', 'row_equipment_run')}, ${pointsTo('material_id', 'row_material')},
    ${pointsTo('component_id', 'row_product')})`,
  `CREATE TABLE row_mix_use (${ROW}, resource_id uuid NOT NULL, mix_product_id uuid NOT NULL, per_unit numeric CHECK (per_unit >= 0),
    for_set_up numeric CHECK (for_set_up >= 0), ${pointsTo('resource_id', 'row_mix_resource')},
    ${pointsTo('mix_product_id', 'row_mix_product')})`,
  `CREATE TABLE row_mix_total (${ROW}, plan_id uuid NOT NULL, ${POSITION}, name text NOT NULL CHECK (name <> ''), rule text NOT NULL,
    units numeric CHECK (units >= 0), ${pointsTo('plan_id', 'row_mix_plan')})`,
  `CREATE TABLE row_mix_total_product (${ROW}, total_id uuid NOT NULL, mix_product_id uuid NOT NULL,
    ${pointsTo('total_id', 'row_mix_total')}, ${pointsTo('mix_product_id', 'row_mix_product')})`,
  `CREATE TABLE row_decision (${named('row_decision')}, type text NOT NULL, product_id uuid NOT NULL, channel_id uuid,
    units numeric CHECK (units > 0), price numeric CHECK (price >= 0), one_time_cost numeric NOT NULL CHECK (one_time_cost >= 0),
    months integer NOT NULL CHECK (months > 0), grade_id uuid, equipment_id uuid, hour_earns numeric CHECK (hour_earns >= 0),
    note text NOT NULL, ${pointsTo('product_id', 'row_product')}, ${pointsTo('channel_id', 'row_channel')},
    ${pointsTo('grade_id', 'row_labour_grade')}, ${pointsTo('equipment_id', 'row_equipment')})`,
  `CREATE TABLE row_decision_cost (${ROW}, decision_id uuid NOT NULL, ${POSITION}, name text NOT NULL CHECK (name <> ''),
    running_cost_id uuid, amount_per_month numeric CHECK (amount_per_month >= 0), fate text NOT NULL,
    ${pointsTo('decision_id', 'row_decision')}, ${pointsTo('running_cost_id', 'row_running_cost')})`,
];

/** Where rows are found by what they point to. */
const FOUND_BY: readonly (readonly [table: string, column: string])[] = [
  ['mix_product', 'plan_id'],
  ['mix_product', 'product_id'],
  ['mix_resource', 'plan_id'],
  ['mix_use', 'mix_product_id'],
  ['mix_use', 'resource_id'],
  ['mix_total', 'plan_id'],
  ['mix_total_product', 'total_id'],
  ['mix_total_product', 'mix_product_id'],
  ['decision', 'product_id'],
  ['decision_cost', 'decision_id'],
];

/** Mix plans with their products, resources and limits; decisions to buy in, to take a special order, to drop. */
export class MixPlansAndDecisions1765900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of TABLES) await runner.query(statement);
    for (const [table, column] of FOUND_BY) await runner.query(findsBy(table, column));
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES.map((statement) => /TABLE (\w+)/.exec(statement)?.[1] ?? '').reverse())
      await runner.query(`DROP TABLE ${table} CASCADE`);
  }
}
