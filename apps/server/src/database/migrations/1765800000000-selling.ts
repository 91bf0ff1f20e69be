import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const named = (table: string) =>
  `${ROW}, name text NOT NULL CHECK (name <> ''), name_key text NOT NULL, CONSTRAINT ${table}_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED`;

const TABLES = [
  `CREATE TABLE row_sales_tax_rate (${named('row_sales_tax_rate')}, percent numeric NOT NULL CHECK (percent >= 0))`,
  `CREATE TABLE row_carrier_table (${named('row_carrier_table')}, volume_divisor numeric CHECK (volume_divisor > 0),
    tax_percent numeric CHECK (tax_percent >= 0))`,
  `CREATE TABLE row_carrier_rate (${ROW}, table_id uuid NOT NULL, zone text NOT NULL,
    up_to_kilograms numeric NOT NULL CHECK (up_to_kilograms > 0), amount numeric NOT NULL CHECK (amount >= 0),
    ${pointsTo('table_id', 'row_carrier_table')})`,
  `CREATE TABLE row_size_tier (${ROW}, rule_id uuid NOT NULL, position integer NOT NULL CHECK (position >= 0), name text NOT NULL,
    longest numeric CHECK (longest > 0), middle numeric CHECK (middle > 0), shortest numeric CHECK (shortest > 0),
    up_to_kilograms numeric CHECK (up_to_kilograms > 0), amount numeric CHECK (amount >= 0), ${pointsTo(
      'rule_id',
      'row_fee_rule',
    )})`,
  `CREATE TABLE row_packing_line (${ROW}, channel_id uuid NOT NULL, position integer NOT NULL CHECK (position >= 0),
    material_id uuid, grade_id uuid, quantity numeric CHECK (quantity >= 0), unit text NOT NULL, per text NOT NULL,
    category text NOT NULL, ${pointsTo('channel_id', 'row_channel')}, ${pointsTo('material_id', 'row_material')},
    ${pointsTo('grade_id', 'row_labour_grade')})`,
  `CREATE TABLE row_postage_share (${ROW}, channel_id uuid NOT NULL, table_id uuid NOT NULL, zone text NOT NULL,
    percent numeric NOT NULL CHECK (percent >= 0), ${pointsTo('channel_id', 'row_channel')}, ${pointsTo(
      'table_id',
      'row_carrier_table',
    )})`,
  `CREATE TABLE row_chain_step (${ROW}, channel_id uuid NOT NULL, position integer NOT NULL CHECK (position >= 0),
    name text NOT NULL, basis text NOT NULL, percent numeric NOT NULL CHECK (percent >= 0), ${pointsTo(
      'channel_id',
      'row_channel',
    )})`,
  `CREATE TABLE row_dated_price (${ROW}, price_point_id uuid NOT NULL, starts_on date NOT NULL,
    price numeric NOT NULL CHECK (price >= 0), ${pointsTo('price_point_id', 'row_price_point')})`,
  `CREATE TABLE row_quantity_break (${ROW}, price_point_id uuid NOT NULL, from_quantity numeric NOT NULL CHECK (from_quantity > 0),
    price numeric NOT NULL CHECK (price >= 0), ${pointsTo('price_point_id', 'row_price_point')})`,
  `CREATE TABLE row_input_range (${ROW}, price_point_id uuid NOT NULL, input text NOT NULL,
    low_percent numeric NOT NULL CHECK (low_percent >= -100), high_percent numeric NOT NULL CHECK (high_percent >= 0),
    shape text NOT NULL, ${pointsTo('price_point_id', 'row_price_point')})`,
  `CREATE TABLE row_quote (${named('row_quote')}, customer text NOT NULL, state text NOT NULL, quoted_on date, valid_until date,
    contingency_percent numeric NOT NULL CHECK (contingency_percent >= 0), basis text NOT NULL,
    target numeric CHECK (target >= -1000000), opening text NOT NULL, closing text NOT NULL)`,
  `CREATE TABLE row_quote_option (${ROW}, quote_id uuid NOT NULL, product_id uuid NOT NULL,
    position integer NOT NULL CHECK (position >= 0), units numeric NOT NULL CHECK (units > 0), method_id uuid,
    learning_percent numeric CHECK (learning_percent > 0), price numeric CHECK (price >= 0), accepted boolean NOT NULL,
    actual_materials numeric CHECK (actual_materials >= 0), actual_hours numeric CHECK (actual_hours >= 0),
    actual_other numeric CHECK (actual_other >= 0), ${pointsTo('quote_id', 'row_quote')}, ${pointsTo('product_id', 'row_product')},
    ${pointsTo('method_id', 'row_costing_method')})`,
];

/** Where rows are found by what they point to. */
const FOUND_BY: readonly (readonly [table: string, column: string])[] = [
  ['carrier_rate', 'table_id'],
  ['size_tier', 'rule_id'],
  ['packing_line', 'channel_id'],
  ['postage_share', 'channel_id'],
  ['chain_step', 'channel_id'],
  ['dated_price', 'price_point_id'],
  ['quantity_break', 'price_point_id'],
  ['input_range', 'price_point_id'],
  ['quote_option', 'quote_id'],
  ['quote_option', 'product_id'],
];

/** The columns that are added, each with its type; what is not null has the value that rows of before take. */
const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  row_channel: [
    'postage_charged numeric CHECK (postage_charged >= 0)',
    'fulfilled_by_id uuid',
    'returns_percent numeric NOT NULL DEFAULT 0 CHECK (returns_percent >= 0)',
    'refunds_postage boolean NOT NULL DEFAULT false',
    'return_handling numeric NOT NULL DEFAULT 0 CHECK (return_handling >= 0)',
    'resaleable_percent numeric NOT NULL DEFAULT 0 CHECK (resaleable_percent >= 0)',
    'scrap_worth numeric NOT NULL DEFAULT 0 CHECK (scrap_worth >= 0)',
    'months_in_store numeric NOT NULL DEFAULT 1 CHECK (months_in_store >= 0)',
  ],
  row_fee_rule: [
    "purpose text NOT NULL DEFAULT 'commission'",
    'volume_divisor numeric CHECK (volume_divisor > 0)',
    'given_back_percent numeric NOT NULL DEFAULT 0 CHECK (given_back_percent >= 0)',
    'before_coupon boolean NOT NULL DEFAULT false',
    'from_month integer CHECK (from_month BETWEEN 1 AND 12)',
    'to_month integer CHECK (to_month BETWEEN 1 AND 12)',
  ],
  row_fee_band: ['per_kilogram numeric CHECK (per_kilogram >= 0)'],
  row_price_point: [
    'invested numeric CHECK (invested >= 0)',
    'coupon_amount numeric NOT NULL DEFAULT 0 CHECK (coupon_amount >= 0)',
    'coupon_funded_percent numeric NOT NULL DEFAULT 0 CHECK (coupon_funded_percent >= 0)',
    'returns_percent numeric CHECK (returns_percent >= 0)',
    'months_in_store numeric CHECK (months_in_store >= 0)',
    'market_price numeric CHECK (market_price >= 0)',
  ],
  row_product: [
    'packed_length numeric CHECK (packed_length > 0)',
    'packed_width numeric CHECK (packed_width > 0)',
    'packed_height numeric CHECK (packed_height > 0)',
    'packed_weight numeric CHECK (packed_weight > 0)',
    'packaging_weight numeric CHECK (packaging_weight >= 0)',
    'quoted boolean NOT NULL DEFAULT false',
  ],
  row_settings: ["letterhead text NOT NULL DEFAULT ''"],
};

const nameOf = (column: string) => column.slice(0, column.indexOf(' '));

/** What is left of a sale: postage, packing, returns, sizes and storage; coming prices, quantities, chains and quotes. */
export class Selling1765800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, columns] of Object.entries(COLUMNS))
      await runner.query(`ALTER TABLE ${table} ${columns.map((column) => `ADD COLUMN ${column}`).join(', ')}`);
    await runner.query(
      `ALTER TABLE row_channel ADD CONSTRAINT row_channel_fulfilled_by ${pointsTo('fulfilled_by_id', 'row_channel')}`,
    );
    for (const statement of TABLES) await runner.query(statement);
    for (const [table, column] of FOUND_BY) await runner.query(findsBy(table, column));
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES.map((statement) => /TABLE (\w+)/.exec(statement)?.[1] ?? '').reverse())
      await runner.query(`DROP TABLE ${table} CASCADE`);
    for (const [table, columns] of Object.entries(COLUMNS))
      await runner.query(
        `ALTER TABLE ${table} ${columns.map((column) => `DROP COLUMN ${nameOf(column)} CASCADE`).join(', ')}`,
      );
  }
}
