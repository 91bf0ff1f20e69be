import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW, uniqueName } from '../row-sql.js';

const POSITION = 'position integer NOT NULL';
const OF_PRODUCT = `product_id uuid NOT NULL, ${POSITION}, ${pointsTo('product_id', 'row_product')}`;

/** What products cost in full: equipment, shared runs, scrap, typed totals, frozen cards, batch sizes to compare. */
const TABLES = [
  `CREATE TABLE row_book_unit (${ROW}, name text NOT NULL CHECK (name <> ''))`,
  `CREATE TABLE row_exchange_rate (${ROW}, currency text NOT NULL, valid_from date NOT NULL, rate numeric NOT NULL CHECK (rate > 0), source text NOT NULL)`,
  `CREATE TABLE row_standard_price (${ROW}, material_id uuid NOT NULL, valid_from date NOT NULL, price numeric CHECK (price >= 0),
    ${pointsTo('material_id', 'row_material')})`,
  `CREATE TABLE row_equipment (${ROW}, name text NOT NULL CHECK (name <> ''), power_kilowatts numeric CHECK (power_kilowatts >= 0),
    load_percent numeric NOT NULL CHECK (load_percent > 0 AND load_percent <= 100), purchase_price numeric CHECK (purchase_price >= 0),
    residual_value numeric NOT NULL CHECK (residual_value >= 0), life_hours numeric CHECK (life_hours > 0), upkeep_per_hour numeric CHECK (upkeep_per_hour >= 0))`,
  `CREATE TABLE row_equipment_run (${ROW}, name text NOT NULL CHECK (name <> ''), equipment_id uuid, hours_per_run numeric CHECK (hours_per_run > 0),
    space numeric CHECK (space > 0), filled_percent numeric NOT NULL CHECK (filled_percent > 0 AND filled_percent <= 100), empty_space text NOT NULL,
    ${pointsTo('equipment_id', 'row_equipment')})`,
  `CREATE TABLE row_equipment_use (${ROW}, ${OF_PRODUCT}, equipment_id uuid, run_id uuid, basis text NOT NULL, amount numeric CHECK (amount >= 0),
    CHECK (equipment_id IS NULL OR run_id IS NULL), ${pointsTo('equipment_id', 'row_equipment')}, ${pointsTo('run_id', 'row_equipment_run')})`,
  `CREATE TABLE row_recovered_scrap (${ROW}, ${OF_PRODUCT}, name text NOT NULL CHECK (name <> ''), quantity numeric CHECK (quantity >= 0),
    unit text NOT NULL, worth numeric CHECK (worth >= 0))`,
  `CREATE TABLE row_typed_cost (${ROW}, product_id uuid NOT NULL, element text NOT NULL, amount numeric CHECK (amount >= 0), hours numeric CHECK (hours >= 0),
    ${pointsTo('product_id', 'row_product')})`,
  `CREATE TABLE row_candidate_batch (${ROW}, ${OF_PRODUCT}, batch_size numeric CHECK (batch_size > 0))`,
  `CREATE TABLE row_frozen_card (${ROW}, product_id uuid NOT NULL, name text NOT NULL CHECK (name <> ''), frozen_on date NOT NULL,
    ${pointsTo('product_id', 'row_product')})`,
  `CREATE TABLE row_frozen_line (${ROW}, frozen_card_id uuid NOT NULL, ${POSITION}, source text NOT NULL, element text NOT NULL, label text NOT NULL,
    quantity numeric NOT NULL, unit text NOT NULL, price numeric NOT NULL, currency text NOT NULL, ${pointsTo('frozen_card_id', 'row_frozen_card')})`,
];

const INDEXES = [
  ...['book_unit', 'equipment', 'equipment_run'].map(uniqueName),
  findsBy('standard_price', 'material_id'),
  findsBy('equipment_run', 'equipment_id'),
  findsBy('equipment_use', 'equipment_id'),
  findsBy('equipment_use', 'run_id'),
  findsBy('frozen_line', 'frozen_card_id'),
  findsBy('material', 'preferred_supplier_id'),
  ...['equipment_use', 'recovered_scrap', 'typed_cost', 'candidate_batch', 'frozen_card'].map((table) =>
    findsBy(table, 'product_id'),
  ),
];

const FINDABLE = [
  "code text NOT NULL DEFAULT ''",
  "category text NOT NULL DEFAULT ''",
  "tags text NOT NULL DEFAULT ''",
];
const ARCHIVED = 'archived boolean NOT NULL DEFAULT false';

/** Columns that tables get beside those they have, by table. */
const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  settings: ['electricity_per_kilowatt_hour numeric', 'use_rate_service boolean NOT NULL DEFAULT true'],
  material: [
    ...FINDABLE,
    ARCHIVED,
    'preferred_supplier_id uuid',
    'landed_add_on numeric CHECK (landed_add_on >= 0)',
    "landed_add_on_basis text NOT NULL DEFAULT 'percent'",
  ],
  supplier_price: [
    'minimum_order numeric CHECK (minimum_order > 0)',
    'ordered_packs numeric CHECK (ordered_packs > 0)',
    "supplier_code text NOT NULL DEFAULT ''",
  ],
  product: [...FINDABLE, ARCHIVED, "costing text NOT NULL DEFAULT 'bill and steps'", "gtin text NOT NULL DEFAULT ''"],
  bill_line: ["text text NOT NULL DEFAULT ''"],
  labour_step: ['set_up_minutes numeric NOT NULL DEFAULT 0 CHECK (set_up_minutes >= 0)'],
  running_cost: ["pool text NOT NULL DEFAULT 'production'"],
};

const columnNames = (columns: readonly string[]) => columns.map((column) => column.split(' ')[0] as string);

export class PurchasingAndProductionInFull1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, columns] of Object.entries(COLUMNS))
      await runner.query(`ALTER TABLE row_${table} ${columns.map((column) => `ADD COLUMN ${column}`).join(', ')}`);
    for (const statement of [...TABLES, ...INDEXES]) await runner.query(statement);
    await runner.query(
      `ALTER TABLE row_material ADD CONSTRAINT row_material_preferred_supplier ${pointsTo('preferred_supplier_id', 'row_supplier')}`,
    );
    // A line may stand as the text that was typed until it is linked.
    await runner.query(`ALTER TABLE row_bill_line DROP CONSTRAINT row_bill_line_check,
      ADD CONSTRAINT row_bill_line_one_item CHECK (num_nonnulls(material_id, component_id, nullif(text, '')) = 1)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DELETE FROM row_bill_line WHERE material_id IS NULL AND component_id IS NULL`);
    await runner.query(`ALTER TABLE row_bill_line DROP CONSTRAINT row_bill_line_one_item,
      ADD CONSTRAINT row_bill_line_check CHECK ((material_id IS NULL) <> (component_id IS NULL))`);
    for (const table of TABLES.map((statement) => statement.split(' ')[2] as string).reverse())
      await runner.query(`DROP TABLE ${table}`);
    for (const [table, columns] of Object.entries(COLUMNS))
      await runner.query(
        `ALTER TABLE row_${table} ${columnNames(columns)
          .map((column) => `DROP COLUMN ${column}`)
          .join(', ')}`,
      );
  }
}
