import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW, uniqueName } from '../row-sql.js';

const TABLES = [
  `CREATE TABLE users (id uuid PRIMARY KEY, email text NOT NULL, name text NOT NULL, password_hash text NOT NULL, created_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE UNIQUE INDEX users_email ON users (lower(email))`,
  `CREATE TABLE sessions (sid text PRIMARY KEY, sess json NOT NULL, expire timestamptz NOT NULL)`,
  `CREATE INDEX sessions_expire ON sessions (expire)`,
  `CREATE TABLE tries (key text PRIMARY KEY, hits integer NOT NULL, expires_at timestamptz NOT NULL)`,
  `CREATE TABLE books (id uuid PRIMARY KEY, revision integer NOT NULL CHECK (revision >= 0), created_at timestamptz NOT NULL DEFAULT now())`,
  `CREATE TABLE members (book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, user_id uuid NOT NULL REFERENCES users (id),
    role text NOT NULL CHECK (role IN ('owner', 'editor', 'reader')), PRIMARY KEY (book_id, user_id))`,
  `CREATE INDEX members_user ON members (user_id)`,
  `CREATE TABLE journal (book_id uuid NOT NULL REFERENCES books (id) ON DELETE CASCADE, revision integer NOT NULL, change_id uuid NOT NULL,
    user_id uuid NOT NULL REFERENCES users (id), at timestamptz NOT NULL DEFAULT now(), undoes uuid, format integer NOT NULL, digest text NOT NULL,
    writes jsonb NOT NULL, PRIMARY KEY (book_id, revision), UNIQUE (book_id, change_id))`,
  `CREATE TABLE row_settings (${ROW}, name text NOT NULL CHECK (name <> ''), currency text NOT NULL, locale text NOT NULL, rounding text NOT NULL,
    sales_tax_percent numeric NOT NULL CHECK (sales_tax_percent BETWEEN 0 AND 100), prices_include_tax boolean NOT NULL,
    open_days_per_week integer NOT NULL CHECK (open_days_per_week BETWEEN 1 AND 7), closed_days_per_year numeric NOT NULL,
    open_days_per_month numeric CHECK (open_days_per_month > 0), normal_labour_hours_per_month numeric CHECK (normal_labour_hours_per_month > 0),
    CHECK (id = book_id))`,
  `CREATE TABLE row_supplier (${ROW}, name text NOT NULL CHECK (name <> ''))`,
  `CREATE TABLE row_material (${ROW}, name text NOT NULL CHECK (name <> ''), kind text NOT NULL, base_unit text NOT NULL, note text NOT NULL)`,
  `CREATE TABLE row_supplier_price (${ROW}, material_id uuid NOT NULL, supplier_id uuid, pack_quantity numeric NOT NULL CHECK (pack_quantity > 0),
    pack_unit text NOT NULL, price numeric CHECK (price >= 0), currency text NOT NULL, valid_from date NOT NULL,
    ${pointsTo('material_id', 'row_material')}, ${pointsTo('supplier_id', 'row_supplier')})`,
  `CREATE TABLE row_labour_grade (${ROW}, name text NOT NULL CHECK (name <> ''), wage_per_hour numeric CHECK (wage_per_hour >= 0),
    on_cost_percent numeric NOT NULL CHECK (on_cost_percent >= 0), productive_percent numeric NOT NULL CHECK (productive_percent > 0 AND productive_percent <= 100),
    owners_time boolean NOT NULL)`,
  `CREATE TABLE row_product (${ROW}, name text NOT NULL CHECK (name <> ''), kind text NOT NULL, output_unit text NOT NULL,
    planned_units_per_month numeric CHECK (planned_units_per_month >= 0), batch_size numeric NOT NULL CHECK (batch_size > 0),
    yield_percent numeric NOT NULL CHECK (yield_percent > 0), note text NOT NULL)`,
  `CREATE TABLE row_bill_line (${ROW}, product_id uuid NOT NULL, position integer NOT NULL, material_id uuid, component_id uuid,
    quantity numeric CHECK (quantity >= 0), unit text NOT NULL, basis text NOT NULL, loss_percent numeric NOT NULL CHECK (loss_percent >= 0 AND loss_percent < 100),
    CHECK ((material_id IS NULL) <> (component_id IS NULL)), CHECK (component_id <> product_id),
    ${pointsTo('product_id', 'row_product')}, ${pointsTo('material_id', 'row_material')}, ${pointsTo('component_id', 'row_product')})`,
  `CREATE TABLE row_labour_step (${ROW}, product_id uuid NOT NULL, position integer NOT NULL, name text NOT NULL CHECK (name <> ''), grade_id uuid,
    time_basis text NOT NULL, time numeric CHECK (time >= 0), people numeric NOT NULL CHECK (people > 0),
    ${pointsTo('product_id', 'row_product')}, ${pointsTo('grade_id', 'row_labour_grade')})`,
  `CREATE TABLE row_other_cost (${ROW}, product_id uuid NOT NULL, position integer NOT NULL, name text NOT NULL CHECK (name <> ''),
    amount numeric CHECK (amount >= 0), basis text NOT NULL, ${pointsTo('product_id', 'row_product')})`,
  `CREATE TABLE row_running_cost (${ROW}, name text NOT NULL CHECK (name <> ''), position integer NOT NULL, amount numeric CHECK (amount >= 0),
    rhythm text NOT NULL, months integer CHECK (months > 0), starts_on date)`,
  `CREATE TABLE row_channel (${ROW}, name text NOT NULL CHECK (name <> ''), fee_percent numeric NOT NULL CHECK (fee_percent >= 0 AND fee_percent < 100),
    fee_basis text NOT NULL, fee_per_order numeric NOT NULL CHECK (fee_per_order >= 0), units_per_order numeric NOT NULL CHECK (units_per_order > 0))`,
  `CREATE TABLE row_price_point (${ROW}, product_id uuid NOT NULL, channel_id uuid NOT NULL, basis text NOT NULL, target numeric,
    price numeric CHECK (price >= 0), tax_inside boolean NOT NULL, tax_percent numeric CHECK (tax_percent BETWEEN 0 AND 100),
    discount_percent numeric NOT NULL CHECK (discount_percent BETWEEN 0 AND 100), ending text NOT NULL, ending_direction text NOT NULL,
    UNIQUE (book_id, product_id, channel_id), ${pointsTo('product_id', 'row_product')}, ${pointsTo('channel_id', 'row_channel')})`,
  `CREATE TABLE row_candidate_price (${ROW}, product_id uuid NOT NULL, channel_id uuid NOT NULL, position integer NOT NULL, price numeric CHECK (price >= 0),
    ${pointsTo('product_id', 'row_product')}, ${pointsTo('channel_id', 'row_channel')})`,
];

const UNIQUE_NAMES = ['supplier', 'material', 'labour_grade', 'product', 'running_cost', 'channel'].map(uniqueName);

const REFERENCES = (
  [
    ['supplier_price', 'material_id'],
    ['supplier_price', 'supplier_id'],
    ['bill_line', 'product_id'],
    ['bill_line', 'material_id'],
    ['bill_line', 'component_id'],
    ['labour_step', 'product_id'],
    ['labour_step', 'grade_id'],
    ['other_cost', 'product_id'],
    ['price_point', 'channel_id'],
    ['candidate_price', 'product_id'],
    ['candidate_price', 'channel_id'],
  ] as const
).map(([table, column]) => findsBy(table, column));

export class FirstTables1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...TABLES, ...UNIQUE_NAMES, ...REFERENCES]) await runner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('The first tables are not taken back: restore a backup instead.');
  }
}
