import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

const POSITION = 'position integer NOT NULL';
const uniqueKey = (table: string) =>
  `name_key text NOT NULL, CONSTRAINT ${table}_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED`;
const OF_SHIPMENT = `shipment_id uuid NOT NULL, ${pointsTo('shipment_id', 'row_shipment')}`;

/** Shipments with their lines, charges and payments, and how the customs reckon. */
const TABLES = [
  `CREATE TABLE row_customs_profile (${ROW}, ${uniqueKey('row_customs_profile')}, name text NOT NULL CHECK (name <> ''), value_kind text NOT NULL,
    import_tax_percent numeric NOT NULL CHECK (import_tax_percent >= 0), import_tax_recovered boolean NOT NULL,
    tax_on_duty boolean NOT NULL, tax_on_freight boolean NOT NULL, tax_on_insurance boolean NOT NULL, tax_on_inland boolean NOT NULL,
    entry_fee_percent numeric CHECK (entry_fee_percent >= 0), entry_fee_minimum numeric CHECK (entry_fee_minimum >= 0),
    entry_fee_maximum numeric CHECK (entry_fee_maximum >= 0))`,
  `CREATE TABLE row_shipment (${ROW}, ${uniqueKey('row_shipment')}, name text NOT NULL CHECK (name <> ''), state text NOT NULL, supplier_id uuid,
    date date NOT NULL, origin text NOT NULL, destination text NOT NULL, delivery_term text, currency text NOT NULL,
    rate numeric CHECK (rate > 0), customs_rate numeric CHECK (customs_rate > 0), customs_profile_id uuid, note text NOT NULL,
    ${pointsTo('supplier_id', 'row_supplier')}, ${pointsTo('customs_profile_id', 'row_customs_profile')})`,
  `CREATE TABLE row_shipment_line (${ROW}, ${OF_SHIPMENT}, ${POSITION}, material_id uuid NOT NULL, quantity numeric CHECK (quantity > 0),
    unit text NOT NULL, price numeric, weight numeric CHECK (weight >= 0), volume numeric CHECK (volume >= 0),
    duty_percent numeric CHECK (duty_percent >= 0), hs_code text NOT NULL, origin text NOT NULL, ${pointsTo('material_id', 'row_material')})`,
  `CREATE TABLE row_shipment_charge (${ROW}, ${OF_SHIPMENT}, ${POSITION}, type text NOT NULL, remark text NOT NULL, amount numeric, per text NOT NULL, billed numeric,
    currency text NOT NULL, rate numeric CHECK (rate > 0), billed_rate numeric CHECK (billed_rate > 0), basis text NOT NULL,
    volume_divisor numeric NOT NULL CHECK (volume_divisor > 0), treatment text NOT NULL, in_price boolean NOT NULL, account text NOT NULL)`,
  `CREATE TABLE row_charged_line (${ROW}, charge_id uuid NOT NULL, line_id uuid NOT NULL,
    ${pointsTo('charge_id', 'row_shipment_charge')}, ${pointsTo('line_id', 'row_shipment_line')})`,
  `CREATE TABLE row_shipment_payment (${ROW}, ${OF_SHIPMENT}, charge_id uuid, date date NOT NULL, amount numeric CHECK (amount > 0),
    rate numeric CHECK (rate > 0), timing text NOT NULL, ${pointsTo('charge_id', 'row_shipment_charge')})`,
];

const INDEXES = [
  findsBy('shipment', 'supplier_id'),
  findsBy('shipment', 'customs_profile_id'),
  findsBy('shipment_line', 'shipment_id'),
  findsBy('shipment_line', 'material_id'),
  findsBy('shipment_charge', 'shipment_id'),
  findsBy('charged_line', 'charge_id'),
  findsBy('charged_line', 'line_id'),
  findsBy('shipment_payment', 'shipment_id'),
  findsBy('shipment_payment', 'charge_id'),
];

export class Shipments1764900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...TABLES, ...INDEXES]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES.map((statement) => statement.split(' ')[2] as string).reverse())
      await runner.query(`DROP TABLE ${table}`);
  }
}
