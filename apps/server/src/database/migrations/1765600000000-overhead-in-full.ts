import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const POSITION = 'position integer NOT NULL';
const named = (table: string) =>
  `${ROW}, name text NOT NULL CHECK (name <> ''), name_key text NOT NULL, CONSTRAINT ${table}_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED`;
const amount = (column: string) => `${column} numeric CHECK (${column} >= 0)`;
const stated = (column: string) => `${column} numeric NOT NULL CHECK (${column} >= 0)`;
const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const MONTHS = [
  ...['january', 'february', 'march', 'april', 'may', 'june'],
  ...['july', 'august', 'september', 'october', 'november', 'december'],
];

/** Planned volumes, departments, pools, activities, methods, and what stands beside a running cost. */
const TABLES = [
  `CREATE TABLE row_department (${named('row_department')}, ${POSITION}, type text NOT NULL, basis text NOT NULL,
    normal_capacity numeric CHECK (normal_capacity > 0), turn integer CHECK (turn > 0))`,
  `CREATE TABLE row_apportionment_basis (${named('row_apportionment_basis')}, ${POSITION}, counted_in text NOT NULL)`,
  `CREATE TABLE row_department_measure (${ROW}, apportionment_basis_id uuid NOT NULL, department_id uuid NOT NULL, ${stated('amount')},
    ${pointsTo('apportionment_basis_id', 'row_apportionment_basis')}, ${pointsTo('department_id', 'row_department')})`,
  `CREATE TABLE row_service_use (${ROW}, service_id uuid NOT NULL, department_id uuid NOT NULL, ${stated('amount')},
    ${pointsTo('service_id', 'row_department')}, ${pointsTo('department_id', 'row_department')})`,
  `CREATE TABLE row_cost_pool (${named('row_cost_pool')}, ${POSITION}, use text NOT NULL, department_id uuid, apportionment_basis_id uuid,
    practical_minutes numeric CHECK (practical_minutes > 0), ${pointsTo('department_id', 'row_department')},
    ${pointsTo('apportionment_basis_id', 'row_apportionment_basis')})`,
  `CREATE TABLE row_cost_increase (${ROW}, running_cost_id uuid NOT NULL, valid_from date NOT NULL, ${stated('amount')},
    ${pointsTo('running_cost_id', 'row_running_cost')})`,
  `CREATE TABLE row_cost_step (${ROW}, running_cost_id uuid NOT NULL, up_to numeric CHECK (up_to > 0), ${stated('amount')},
    ${pointsTo('running_cost_id', 'row_running_cost')})`,
  `CREATE TABLE row_open_season (${named('row_open_season')}, starts_on date NOT NULL, ends_on date NOT NULL, every_year boolean NOT NULL,
    ${WEEKDAYS.map((day) => `${day} boolean NOT NULL`).join(', ')})`,
  `CREATE TABLE row_closed_day (${ROW}, date date NOT NULL, occasion text NOT NULL, every_year boolean NOT NULL)`,
  `CREATE TABLE row_activity (${named('row_activity')}, ${POSITION}, level text NOT NULL, driver text NOT NULL,
    practical_volume numeric CHECK (practical_volume > 0), is_charged boolean NOT NULL, resource_pool_id uuid, ${amount('minutes')},
    ${pointsTo('resource_pool_id', 'row_cost_pool')})`,
  `CREATE TABLE row_pool_activity (${ROW}, pool_id uuid NOT NULL, activity_id uuid NOT NULL, ${stated('percent')},
    ${pointsTo('pool_id', 'row_cost_pool')}, ${pointsTo('activity_id', 'row_activity')})`,
  `CREATE TABLE row_activity_use (${ROW}, activity_id uuid NOT NULL, product_id uuid NOT NULL, ${amount('amount')}, per text NOT NULL,
    ${pointsTo('activity_id', 'row_activity')}, ${pointsTo('product_id', 'row_product')})`,
  `CREATE TABLE row_time_term (${ROW}, activity_id uuid NOT NULL, name text NOT NULL CHECK (name <> ''), minutes numeric NOT NULL, times text NOT NULL,
    condition text NOT NULL, matches text NOT NULL, product_id uuid, ${pointsTo('activity_id', 'row_activity')},
    ${pointsTo('product_id', 'row_product')})`,
  `CREATE TABLE row_costing_method (${named('row_costing_method')}, ${POSITION}, type text NOT NULL, basis text NOT NULL,
    normal_capacity numeric CHECK (normal_capacity > 0), capacity text NOT NULL, service_method text NOT NULL, role text NOT NULL)`,
  `CREATE TABLE row_overhead_actual (${ROW}, month date NOT NULL, department_id uuid, ${amount('amount')}, ${amount('basis_quantity')},
    ${amount('standard_quantity')}, ${amount('budget_amount')}, budget_quantity numeric CHECK (budget_quantity > 0),
    ${pointsTo('department_id', 'row_department')})`,
  `CREATE TABLE row_charge_out_rate (${named('row_charge_out_rate')}, ${POSITION}, ${amount('income_per_year')}, ${stated('running_cost_percent')},
    weeks_per_year numeric NOT NULL CHECK (weeks_per_year > 0), hours_per_week numeric NOT NULL CHECK (hours_per_week > 0),
    hours_per_day numeric NOT NULL CHECK (hours_per_day > 0), billable_percent numeric NOT NULL CHECK (billable_percent > 0))`,
  `CREATE TABLE row_season (${named('row_season')}, ${MONTHS.map(stated).join(', ')})`,
  `CREATE TABLE row_planned_volume (${ROW}, product_id uuid NOT NULL, channel_id uuid, ${amount('units_per_month')}, season_id uuid,
    ${pointsTo('product_id', 'row_product')}, ${pointsTo('channel_id', 'row_channel')}, ${pointsTo('season_id', 'row_season')})`,
  `CREATE TABLE row_planned_month (${ROW}, volume_id uuid NOT NULL, month integer NOT NULL CHECK (month BETWEEN 1 AND 12), ${stated('units')},
    ${pointsTo('volume_id', 'row_planned_volume')})`,
  `CREATE TABLE row_joint_process (${named('row_joint_process')}, ${POSITION}, product_id uuid, ${amount('joint_cost')}, method text NOT NULL,
    by_products text NOT NULL, ${pointsTo('product_id', 'row_product')})`,
  `CREATE TABLE row_joint_output (${ROW}, process_id uuid NOT NULL, ${POSITION}, name text NOT NULL CHECK (name <> ''), product_id uuid,
    ${amount('quantity')}, unit text NOT NULL, ${amount('split_off_price')}, ${amount('further_cost')}, ${amount('final_price')},
    is_by_product boolean NOT NULL, ${pointsTo('process_id', 'row_joint_process')}, ${pointsTo('product_id', 'row_product')})`,
];

/** By which column the rows of a table are found from the row that they point to. */
const FOUND_BY: readonly (readonly [table: string, column: string])[] = [
  ['department_measure', 'apportionment_basis_id'],
  ['department_measure', 'department_id'],
  ['service_use', 'service_id'],
  ['service_use', 'department_id'],
  ['cost_pool', 'department_id'],
  ['cost_pool', 'apportionment_basis_id'],
  ['cost_increase', 'running_cost_id'],
  ['cost_step', 'running_cost_id'],
  ['activity', 'resource_pool_id'],
  ['pool_activity', 'pool_id'],
  ['pool_activity', 'activity_id'],
  ['activity_use', 'activity_id'],
  ['activity_use', 'product_id'],
  ['time_term', 'activity_id'],
  ['time_term', 'product_id'],
  ['overhead_actual', 'department_id'],
  ['planned_volume', 'product_id'],
  ['planned_volume', 'channel_id'],
  ['planned_volume', 'season_id'],
  ['planned_month', 'volume_id'],
  ['joint_process', 'product_id'],
  ['joint_output', 'process_id'],
  ['joint_output', 'product_id'],
];

const OF_DEPARTMENT = 'department_id uuid';

/** Columns that tables get beside those they have, by table. */
const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  settings: [
    "open_day_rule text NOT NULL DEFAULT 'days a week'",
    ...WEEKDAYS.map((day, place) => `${day} boolean NOT NULL DEFAULT ${place < 5}`),
  ],
  product: [amount('made_per_month')],
  labour_step: [OF_DEPARTMENT],
  typed_cost: [OF_DEPARTMENT],
  labour_grade: [
    OF_DEPARTMENT,
    "behaviour text NOT NULL DEFAULT 'variable'",
    'paid_hours_per_month numeric CHECK (paid_hours_per_month > 0)',
  ],
  equipment: [
    OF_DEPARTMENT,
    'life_years numeric CHECK (life_years > 0)',
    'hours_per_year numeric CHECK (hours_per_year > 0)',
  ],
  other_cost: ["behaviour text NOT NULL DEFAULT 'variable'"],
  running_cost: [
    'pool_id uuid',
    "behaviour text NOT NULL DEFAULT 'fixed'",
    "driver text NOT NULL DEFAULT 'labour hours'",
    'ends_on date',
    'due_month integer CHECK (due_month BETWEEN 1 AND 12)',
    "account_code text NOT NULL DEFAULT ''",
  ],
};

const AT_DEPARTMENT = ['labour_step', 'typed_cost', 'labour_grade', 'equipment'];

/** What was said in columns before becomes rows: two pools for what costs were used for, volumes for planned units. */
const MOVES = [
  `INSERT INTO row_cost_pool (book_id, id, version, name, name_key, position, use)
    SELECT book_id, gen_random_uuid(), 1, CASE pool WHEN 'production' THEN 'Production' ELSE 'Selling and office' END,
      CASE pool WHEN 'production' THEN 'production' ELSE 'selling and office' END, CASE pool WHEN 'production' THEN 0 ELSE 1 END, pool
    FROM (SELECT DISTINCT book_id, pool FROM row_running_cost) found`,
  `UPDATE row_running_cost SET pool_id = row_cost_pool.id FROM row_cost_pool
    WHERE row_cost_pool.book_id = row_running_cost.book_id AND row_cost_pool.use = row_running_cost.pool`,
  `INSERT INTO row_planned_volume (book_id, id, version, product_id, units_per_month)
    SELECT book_id, gen_random_uuid(), 1, id, planned_units_per_month FROM row_product WHERE planned_units_per_month IS NOT NULL`,
  'SET CONSTRAINTS ALL IMMEDIATE',
  'ALTER TABLE row_running_cost DROP COLUMN pool',
  'ALTER TABLE row_product DROP COLUMN planned_units_per_month',
];

/** Overhead by departments, activities and methods, with planned volumes by channel. */
export class OverheadInFull1765600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of TABLES) await runner.query(statement);
    for (const [table, column] of FOUND_BY) await runner.query(findsBy(table, column));
    for (const [table, columns] of Object.entries(COLUMNS))
      await runner.query(`ALTER TABLE row_${table} ${columns.map((column) => `ADD COLUMN ${column}`).join(', ')}`);
    for (const statement of MOVES) await runner.query(statement);
    for (const [table, column, target] of [
      ...AT_DEPARTMENT.map((table) => [table, 'department_id', 'row_department'] as const),
      ['running_cost', 'pool_id', 'row_cost_pool'] as const,
    ]) {
      await runner.query(`ALTER TABLE row_${table} ADD ${pointsTo(column, target)}`);
      await runner.query(findsBy(table, column));
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE row_running_cost ADD COLUMN pool text NOT NULL DEFAULT 'production'");
    await runner.query(`UPDATE row_running_cost SET pool = row_cost_pool.use FROM row_cost_pool
      WHERE row_cost_pool.book_id = row_running_cost.book_id AND row_cost_pool.id = row_running_cost.pool_id`);
    await runner.query('ALTER TABLE row_product ADD COLUMN planned_units_per_month numeric');
    await runner.query(`UPDATE row_product SET planned_units_per_month = planned.units FROM
      (SELECT book_id, product_id, sum(units_per_month) AS units FROM row_planned_volume GROUP BY book_id, product_id) planned
      WHERE planned.book_id = row_product.book_id AND planned.product_id = row_product.id`);
    for (const [table, columns] of Object.entries(COLUMNS))
      await runner.query(
        `ALTER TABLE row_${table} ${columns.map((column) => `DROP COLUMN ${column.split(' ')[0] as string}`).join(', ')}`,
      );
    for (const table of TABLES.map((statement) => statement.split(' ')[2] as string).reverse())
      await runner.query(`DROP TABLE ${table} CASCADE`);
  }
}
