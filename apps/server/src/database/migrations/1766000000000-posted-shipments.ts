import type { MigrationInterface, QueryRunner } from 'typeorm';

const SHARE = (name: string) => `${name} numeric CHECK (${name} >= 0 AND ${name} <= 100)`;
const AMOUNT = (name: string) => `${name} numeric CHECK (${name} >= 0)`;

const SHIPMENT = ['posted_on date', SHARE('posted_tax_percent'), SHARE('posted_import_tax_percent')];
const LINE = [
  ...[SHARE('tax_percent'), 'tax_inside boolean NOT NULL DEFAULT false'],
  ...['posted_duty', 'posted_import_tax', 'posted_entry_fee'].map(AMOUNT),
];

const added = (columns: readonly string[]) => columns.map((column) => `ADD COLUMN ${column}`).join(', ');
const dropped = (columns: readonly string[]) =>
  columns.map((column) => `DROP COLUMN ${column.split(' ')[0] as string}`).join(', ');

/** What is kept of a shipment when it is posted, tax on its lines, and import tax that is recovered as other tax is. */
export class PostedShipments1766000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_shipment ${added(SHIPMENT)}`);
    await runner.query(`ALTER TABLE row_shipment_line ${added(LINE)}`);
    await runner.query(`ALTER TABLE row_customs_profile ADD COLUMN import_tax text NOT NULL DEFAULT 'by registration'`);
    await runner.query(`UPDATE row_customs_profile SET import_tax = 'cost' WHERE NOT import_tax_recovered`);
    await runner.query(`ALTER TABLE row_customs_profile DROP COLUMN import_tax_recovered`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE row_customs_profile ADD COLUMN import_tax_recovered boolean NOT NULL DEFAULT true`);
    await runner.query(`UPDATE row_customs_profile SET import_tax_recovered = import_tax <> 'cost'`);
    await runner.query(`ALTER TABLE row_customs_profile DROP COLUMN import_tax`);
    await runner.query(`ALTER TABLE row_shipment_line ${dropped(LINE)}`);
    await runner.query(`ALTER TABLE row_shipment ${dropped(SHIPMENT)}`);
  }
}
