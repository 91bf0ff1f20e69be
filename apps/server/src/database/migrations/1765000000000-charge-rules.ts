import type { MigrationInterface, QueryRunner } from 'typeorm';
import { findsBy, pointsTo, ROW } from '../row-sql.js';

/** Rules by which shipments get their charges, and the sets by which rules are given. */
const TABLES = [
  `CREATE TABLE row_charge_rule (${ROW}, name_key text NOT NULL, CONSTRAINT row_charge_rule_name UNIQUE (book_id, name_key) DEFERRABLE INITIALLY DEFERRED,
    name text NOT NULL CHECK (name <> ''), type text NOT NULL, method text NOT NULL, amount numeric, per text NOT NULL, currency text NOT NULL,
    brackets_by text NOT NULL, bracket_mode text NOT NULL, formula text NOT NULL, basis text NOT NULL, volume_divisor numeric NOT NULL CHECK (volume_divisor > 0),
    treatment text NOT NULL, account text NOT NULL, material_id uuid, category text NOT NULL, supplier_id uuid, origin text NOT NULL, delivery_term text,
    rule_set text NOT NULL, ${pointsTo('material_id', 'row_material')}, ${pointsTo('supplier_id', 'row_supplier')})`,
  `CREATE TABLE row_rule_bracket (${ROW}, rule_id uuid NOT NULL, up_to numeric CHECK (up_to > 0), amount numeric, ${pointsTo('rule_id', 'row_charge_rule')})`,
];

const INDEXES = [
  findsBy('charge_rule', 'material_id'),
  findsBy('charge_rule', 'supplier_id'),
  findsBy('rule_bracket', 'rule_id'),
  findsBy('shipment_charge', 'rule_id'),
];

const GIVEN_TO = ['row_material', 'row_supplier', 'row_shipment'];

export class ChargeRules1765000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of GIVEN_TO)
      await runner.query(`ALTER TABLE ${table} ADD COLUMN rule_set text NOT NULL DEFAULT ''`);
    for (const statement of TABLES) await runner.query(statement);
    await runner.query(`ALTER TABLE row_shipment_charge ADD COLUMN rule_id uuid,
      ADD CONSTRAINT row_shipment_charge_rule ${pointsTo('rule_id', 'row_charge_rule')}`);
    for (const statement of INDEXES) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE row_shipment_charge DROP COLUMN rule_id');
    for (const table of TABLES.map((statement) => statement.split(' ')[2] as string).reverse())
      await runner.query(`DROP TABLE ${table}`);
    for (const table of GIVEN_TO) await runner.query(`ALTER TABLE ${table} DROP COLUMN rule_set`);
  }
}
