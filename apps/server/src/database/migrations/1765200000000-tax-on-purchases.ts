import type { MigrationInterface, QueryRunner } from 'typeorm';
import { ROW } from '../row-sql.js';

const TAXED = ['row_supplier_price', 'row_running_cost', 'row_shipment_charge'];

/** Sales tax on what is bought, and from when on how much of it is recovered. */
export class TaxOnPurchases1765200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE row_tax_registration (${ROW}, valid_from date NOT NULL, registered boolean NOT NULL,
      recovered_percent numeric NOT NULL CHECK (recovered_percent >= 0 AND recovered_percent <= 100))`);
    for (const table of TAXED)
      await runner.query(
        `ALTER TABLE ${table} ADD COLUMN tax_percent numeric CHECK (tax_percent >= 0), ADD COLUMN tax_inside boolean NOT NULL DEFAULT false`,
      );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TAXED)
      await runner.query(`ALTER TABLE ${table} DROP COLUMN tax_percent, DROP COLUMN tax_inside`);
    await runner.query('DROP TABLE row_tax_registration');
  }
}
